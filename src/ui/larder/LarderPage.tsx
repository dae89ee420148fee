"use client";

import { Trash2, TriangleAlert } from "lucide-react";
import { useState, type FormEvent } from "react";
import {
  addDays,
  closeLarder,
  findKeepDays,
  larderKinds,
  type DayBook,
  type LarderItem,
  type LarderKind,
} from "@/core/plan";
import { formatCount, formatMass, formatScale } from "@/core/units";
import { LeaveLink } from "../bench/LeaveLink";
import { usePicked } from "../bench/BenchProvider";
import type { Edit } from "@/schemas/recordTable";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { ProblemList } from "../controls/ProblemList";
import { Select } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { larderNames } from "../formula/words";
import { formatShortDate } from "../shell/formatDayDate";
import { parseKept } from "./parseKept";

const toEdits = (items: readonly LarderItem[]): Edit[] =>
  items.map((item) => ({ kind: "larder", id: item.id, record: item }));

const isMass = (kind: LarderKind) => kind === "dough" || kind === "filling";

/** What is left of a dough, to show how it is written, g. */
const EXAMPLE_G = 430;

/** What a larder item's id stands for. */
function nameOf({ formulas, pieces }: DayBook, { kind, refId }: LarderItem): string {
  return (isMass(kind) ? formulas : pieces).find(({ id }) => id === refId)?.name ?? "no longer in the book";
}

/** What is kept in the cold: used first, labelled, never past its date. */
export function LarderPage() {
  const { book, plan, edit } = usePicked("book", "plan", "edit");
  const present = book.larder
    .filter(({ takenByDayId }) => takenByDayId === null)
    .toSorted((a, b) => (a.useBy < b.useBy ? -1 : 1));
  return (
    <StationLayout
      label="Larder"
      surface={
        <div className="flex flex-col gap-3">
          <ProblemList station="mix" />
          <h2 className="text-2xl">Larder</h2>
          {present.length === 0 ? (
            <p className="quiet max-w-prose">
              Nothing is kept yet. Put in what is left of a dough or filling, blanks, baked shells or frozen
              pieces: the next day takes it first, oldest first, as long as it is within its date.
            </p>
          ) : (
            <ul className="flex flex-col">
              {present.map((item) => (
                <ItemRow key={item.id} item={item} />
              ))}
            </ul>
          )}
        </div>
      }
      side={
        <>
          <section aria-labelledby="after" className="flex flex-col gap-2">
            <h2 id="after" className="text-lg">
              After {book.day.name}
            </h2>
            <ul className="text-sm">
              {plan.larderUses.map(({ item, massG, count }, i) => (
                <li key={i}>
                  − {massG > 0 ? formatMass(massG) : formatCount(count, "piece")} {nameOf(book, item)}
                </li>
              ))}
              {plan.leftovers.map(({ label, massG, count, keepsDays }) => (
                <li key={label}>
                  + {massG > 0 ? formatMass(massG) : count} {label}, keeps {formatCount(keepsDays, "day")}
                </li>
              ))}
            </ul>
            <CloseDay onClose={() => edit(toEdits(closeLarder(plan, book)))} />
          </section>
          <hr className="border-base-300" />
          <NewItem />
          <LeaveLink href={`/api/day/${book.day.date}/larder`} className="btn touch" download>
            Larder as CSV
          </LeaveLink>
          <Link href={`/day/${book.day.date}/labels`} className="btn touch">
            Labels
          </Link>
        </>
      }
    />
  );
}

/** Takes out what the day used and puts in what it left; can be done again after a change. */
function CloseDay({ onClose }: { readonly onClose: () => void }) {
  const { book, plan, hasRun } = usePicked("book", "plan", "hasRun");
  const isClosed = book.larder.some(
    ({ fromDayId, takenByDayId }) => fromDayId === book.day.id || takenByDayId === book.day.id,
  );
  if (plan.larderUses.length === 0 && plan.leftovers.length === 0) {
    return <p className="quiet text-sm">The day neither takes from the larder nor leaves anything for it.</p>;
  }
  if (hasRun)
    return (
      <Link className="btn btn-primary touch" href={`/run/${book.day.date}/close`}>
        {isClosed ? "Closed; look at it again" : "Close the day"}
      </Link>
    );
  return (
    <>
      <button type="button" className="btn btn-primary touch" onClick={onClose}>
        {isClosed ? "Put back again, as planned now" : "Put the day's leftovers in"}
      </button>
      {isClosed && <p className="quiet text-sm">This day has been put in. Undo takes it out again.</p>}
    </>
  );
}

function ItemRow({ item }: { readonly item: LarderItem }) {
  const { book, edit, plan } = usePicked("book", "edit", "plan");
  const usedToday = plan.larderUses.find((use) => use.item.id === item.id);
  const isExpired = item.useBy < book.day.date;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300 py-2">
      <span className="figure w-24 text-2xl">
        {isMass(item.kind) ? formatMass(item.massG) : `${item.count} pcs`}
      </span>
      <span className="min-w-40 flex-1">
        {nameOf(book, item)}
        <span className="quiet block text-sm">
          {larderNames[item.kind]}, made {formatShortDate(item.madeOn)}
        </span>
      </span>
      {isExpired ? (
        <strong className="flex items-center gap-1 text-error">
          <TriangleAlert size={18} aria-hidden /> past its date
        </strong>
      ) : (
        usedToday && (
          <span className="text-primary">
            today takes {usedToday.massG > 0 ? formatMass(usedToday.massG) : usedToday.count}
          </span>
        )
      )}
      <label className="flex items-center gap-2 text-sm">
        use by
        <input
          type="date"
          className="input w-40"
          value={item.useBy}
          min={item.madeOn}
          onChange={(event) =>
            event.target.value >= item.madeOn &&
            edit([{ kind: "larder", id: item.id, record: { ...item, useBy: event.target.value } }])
          }
        />
      </label>
      <button
        type="button"
        className="btn btn-ghost touch px-2"
        aria-label={`Throw out ${nameOf(book, item)}`}
        onClick={() => edit([{ kind: "larder", id: item.id, record: null }])}
      >
        <Trash2 size={20} aria-hidden />
      </button>
    </li>
  );
}

function NewItem() {
  const { book, edit } = usePicked("book", "edit");
  const [kind, setKind] = useState<LarderKind>("dough");
  const [refId, setRefId] = useState("");
  const [amount, setAmount] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const choices = isMass(kind) ? book.formulas.filter((formula) => formula.kind === kind) : book.pieces;
  const chosen = choices.find(({ id }) => id === refId) ?? choices[0];
  const keepsDays = chosen ? findKeepDays(kind, chosen.id, book) : 0;
  const [useBy, setUseBy] = useState<string | null>(null);
  const shownUseBy = useBy ?? addDays(book.day.date, keepsDays);
  const put = (event: FormEvent) => {
    event.preventDefault();
    const kept = parseKept(amount, shownUseBy, isMass(kind), book.day.date);
    const isNothing = kept.ok && kept.value.massG + kept.value.count <= 0;
    setFault(!kept.ok ? kept.failure : isNothing ? "Enter more than nothing." : null);
    if (!kept.ok || isNothing || !chosen) return;
    const item: LarderItem = {
      id: createId("larder"),
      kind,
      refId: chosen.id,
      ...kept.value,
      madeOn: book.day.date,
      fromDayId: null,
      takenByDayId: null,
    };
    edit([{ kind: "larder", id: item.id, record: item }]);
    setAmount("");
    setUseBy(null);
  };
  return (
    <form onSubmit={put} className="flex flex-col gap-2" noValidate>
      <h2 className="text-lg">Put something in</h2>
      <Select<LarderKind>
        label="It is"
        value={kind}
        options={larderKinds.map((id) => ({ id, name: larderNames[id] }))}
        onChange={(next) => {
          setKind(next);
          setUseBy(null);
        }}
      />
      <label className="flex flex-col gap-0.5">
        Of
        <select
          className="select w-full"
          value={chosen?.id ?? ""}
          onChange={(event) => setRefId(event.target.value)}
        >
          {choices.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col gap-0.5">
        {isMass(kind) ? "How much" : "How many"}
        <input
          className="input figure w-full text-lg"
          placeholder={isMass(kind) ? formatScale(EXAMPLE_G) : "12"}
          value={amount}
          onChange={(event) => setAmount(event.target.value)}
        />
      </label>
      <label className="flex flex-col gap-0.5">
        Use by
        <input
          type="date"
          className="input w-full"
          value={shownUseBy}
          onChange={(event) => setUseBy(event.target.value)}
        />
      </label>
      {fault && (
        <p className="text-sm text-error" role="alert">
          {fault}
        </p>
      )}
      <button className="btn btn-primary touch" disabled={!chosen}>
        Put it in
      </button>
      <p className="quiet text-sm">
        Label it with its date. How long it may be kept, your local food code decides.
      </p>
    </form>
  );
}
