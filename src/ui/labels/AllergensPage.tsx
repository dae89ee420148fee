"use client";

import { useMemo, useState } from "react";
import { allergens, type Allergen } from "@/core/formula";
import {
  isIncomplete,
  listAllergenRows,
  listAllergenSources,
  type AllergenRow,
  type ContactWay,
} from "@/core/labels";
import { formatClock, formatCount } from "@/core/units";
import { usePicked } from "../bench/BenchProvider";
import { Link } from "../controls/Link";
import { PieceMark } from "../drawings/PieceMark";
import { StationLayout } from "../controls/StationLayout";

/** What stands in a cell: a word, so that nobody has to learn signs. */
const contactWords: Record<ContactWay, string> = { oil: "oil", brush: "brush", bench: "bench" };
const contactSays: Record<ContactWay, string> = {
  oil: "shares the oil",
  brush: "shares wash bowl and brush",
  bench: "shares bench and pin",
};

interface Asked {
  readonly row: AllergenRow;
  readonly allergen: Allergen;
}

/** Every piece and order of the day against every allergen: what is in it, and what it may touch. */
export function AllergensPage() {
  const { date, book, plan } = usePicked("date", "book", "plan");
  const rows = useMemo(() => listAllergenRows(plan, book), [plan, book]);
  const [asked, setAsked] = useState<Asked | null>(null);
  const day = rows.at(-1);
  const used = allergens.filter((allergen) =>
    rows.some(
      ({ contains, contacts }) =>
        contains.includes(allergen) || contacts.some((contact) => contact.allergen === allergen),
    ),
  );
  const unknown = day?.unknown ?? [];
  const isComplete = rows.every((row) => !isIncomplete(row));
  const loads = day?.unknownContacts.reduce((sum, each) => sum + each.loads, 0) ?? 0;
  return (
    <StationLayout
      label="Allergens"
      surface={
        <div className="flex flex-col gap-3">
          <h2 className="text-2xl">Allergens</h2>
          {plan.lines.length === 0 ? (
            <p className="quiet">Nothing is made on this day yet: take an order first.</p>
          ) : (
            <>
              {unknown.length > 0 && (
                <p role="alert" className="rounded bg-warning px-2 py-1 text-warning-content">
                  Allergens not known of {unknown.join(", ")}: ask before it is sold. Name{" "}
                  {unknown.length === 1 ? "it" : "them"} in the{" "}
                  <Link href={`/day/${date}/ingredients`} className="link">
                    ingredient book
                  </Link>
                  .
                </p>
              )}
              {loads > 0 && (
                <p role="alert" className="rounded bg-warning px-2 py-1 text-warning-content">
                  The oil has fried {formatCount(loads, "load")} that nobody recorded: it may hold any
                  allergen. Change the oil, or say so to whoever asks.
                </p>
              )}
              <Matrix rows={rows} columns={used} asked={asked} onAsk={setAsked} />
              <p className="quiet">
                Not in {isComplete ? "anything of this day" : "what is known of this day"}:{" "}
                {allergens.filter((allergen) => !used.includes(allergen)).join(", ") || "none"}.
              </p>
            </>
          )}
        </div>
      }
      side={
        <>
          <h2 className="text-xl">Where it comes from</h2>
          {asked ? <Told {...asked} /> : <p className="quiet">Touch a word in the table.</p>}
          <p className="quiet text-sm">
            Oil is kept and holds what was fried in it before. One bowl and brush serve all that is washed or
            glued. One bench and pin serve all that is made; made and cleaned down one after the other, what
            holds least first, they carry less. Your local food code decides what must be said.
          </p>
          <Link href={`/day/${date}/labels`} className="btn touch">
            Labels
          </Link>
        </>
      }
    />
  );
}

const nameRow = ({ name, dueMin }: AllergenRow): string =>
  dueMin === null ? name : `${formatClock(dueMin)} ${name || "no name"}`;

/** A row is as high as a finger. */
const ROW_MARK_PX = 36;

function Matrix({
  rows,
  columns,
  asked,
  onAsk,
}: {
  readonly rows: readonly AllergenRow[];
  readonly columns: readonly Allergen[];
  readonly asked: Asked | null;
  readonly onAsk: (asked: Asked) => void;
}) {
  const hasUnknown = rows.some(isIncomplete);
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <caption className="sr-only">
          What each piece and order of the day contains, and what it may touch
        </caption>
        <thead>
          <tr>
            <th scope="col" className="py-1 pr-3 text-left font-normal">
              <span className="sr-only">What</span>
            </th>
            {columns.map((allergen) => (
              <th key={allergen} scope="col" className="px-1 py-1 font-normal">
                {allergen}
              </th>
            ))}
            {hasUnknown && (
              <th scope="col" className="px-1 py-1 font-normal">
                not known
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr
              key={`${row.of} ${row.id}`}
              className={`border-t ${row.of === rows[i - 1]?.of ? "border-base-300" : "border-base-content"} ${row.of === "day" ? "font-bold" : ""}`}
            >
              <th
                scope="row"
                className="board sticky left-0 max-w-32 sm:max-w-56 leading-tight break-words py-1 pr-2 text-left font-[inherit]"
                title={nameRow(row)}
              >
                <span className="flex items-center gap-2">
                  {row.of === "piece" && <PieceMark pieceId={row.id} sizePx={ROW_MARK_PX} />}
                  <span className="min-w-0">{nameRow(row)}</span>
                </span>
              </th>
              {columns.map((allergen) => (
                <Cell
                  key={allergen}
                  row={row}
                  allergen={allergen}
                  isAsked={asked?.row.id === row.id && asked.row.of === row.of && asked.allergen === allergen}
                  onAsk={onAsk}
                />
              ))}
              {hasUnknown && <UnknownCell row={row} />}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What is in a row, or may have touched it, without anybody knowing its allergens. */
function UnknownCell({ row: { unknown, unknownContacts } }: { readonly row: AllergenRow }) {
  const touched = unknownContacts.map(
    ({ through, names, loads }) =>
      `${contactWords[through]}: ${[...names, ...(loads > 0 ? [formatCount(loads, "load")] : [])].join(", ")}`,
  );
  return (
    <td className="min-w-28 p-1 text-center text-sm">
      {unknown.length > 0 && <strong className="text-error">{unknown.join(", ")}</strong>}
      {unknown.length > 0 && touched.length > 0 && <br />}
      {touched.join("; ") || (unknown.length === 0 ? "–" : "")}
    </td>
  );
}

function Cell({
  row,
  allergen,
  isAsked,
  onAsk,
}: Asked & { readonly isAsked: boolean; readonly onAsk: (asked: Asked) => void }) {
  const isIn = row.contains.includes(allergen);
  const contact = row.contacts.find((each) => each.allergen === allergen);
  // A dash says that it is not in: where anything is unknown nobody can say so.
  if (!isIn && !contact) return <td className="p-0.5 text-center">{isIncomplete(row) ? "?" : "–"}</td>;
  const word = isIn ? "contains" : contactWords[contact!.through];
  return (
    <td className="p-0.5 text-center">
      <button
        type="button"
        className={`touch w-full min-w-18 rounded-lg border-2 px-1 ${isIn ? "border-primary bg-primary text-primary-content" : "border-dashed border-base-content/60"} ${isAsked ? "outline-3 outline-primary" : ""}`}
        aria-pressed={isAsked}
        aria-label={`${nameRow(row)}, ${allergen}: ${isIn ? "contains" : contactSays[contact!.through]}`}
        onClick={() => onAsk({ row, allergen })}
      >
        {word}
      </button>
    </td>
  );
}

/** Why a word stands in the table: which ingredients, or which pieces it shares something with. */
function Told({ row, allergen }: Asked) {
  const { book, plan } = usePicked("book", "plan");
  const sources = useMemo(() => listAllergenSources(plan, book, row, allergen), [plan, book, row, allergen]);
  const contact = row.contacts.find((each) => each.allergen === allergen);
  return (
    <div aria-live="polite">
      <p className="text-lg">
        <strong>{nameRow(row)}</strong>{" "}
        {contact
          ? `is made without ${allergen}, and ${contactSays[contact.through]} with`
          : `contains ${allergen}, by`}
      </p>
      <ul className="list-disc pl-5">
        {sources.map((source) => (
          <li key={source}>{source}</li>
        ))}
      </ul>
    </div>
  );
}
