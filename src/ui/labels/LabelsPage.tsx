"use client";

import { ChevronLeft, ChevronRight, Download, Printer } from "lucide-react";
import { useMemo, useState, type ReactNode } from "react";
import { labelKinds, listLabels, type Label, type LabelKind } from "@/core/labels";
import { formatClock, formatCount, formatSides, parseNumber } from "@/core/units";
import { labelSheets, type LabelSheet } from "@/formats/labelSheets";
import type { LabelPart } from "@/formats/labelText";
import type { LaidLabel } from "@/formats/layLabel";
import { listUnknownOnLabels, sayUnknownOnLabels, toPrintedLabels } from "@/formats/printLabels";
import { FIRST_WISH, MAX_COPIES, writeLabelWish, type LabelWish } from "@/schemas/labelWish";
import { usePicked } from "../bench/BenchProvider";
import { LeaveLink } from "../bench/LeaveLink";
import { Choice } from "../controls/Choice";
import { Link } from "../controls/Link";
import { Select } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { Dialog } from "../shell/Dialog";
import { TextField } from "../controls/TextField";
import { LabelDrawing, LabelPageDrawing, useLabelPages } from "./LabelPages";

const kindNames: Record<LabelKind, string> = {
  piece: "Pieces",
  tray: "Trays",
  order: "Orders",
  larder: "Larder",
};
const nothingYet: Record<LabelKind, string> = {
  piece: "Nothing is made on this day yet: take an order first.",
  tray: "Nothing lies on trays on this day: take an order for something baked first.",
  order: "Nobody comes for anything on this day yet: take an order first.",
  larder: "The larder is empty.",
};
const partNames: Record<LabelPart, string> = {
  title: "name",
  what: "contents",
  allergens: "allergens",
  dates: "dates",
  keep: "how it is kept",
  weight: "weight",
  ingredients: "ingredients",
  warmUp: "how it is warmed",
};

const nameSheet = ({ paper, columns, rows, widthMm, heightMm }: LabelSheet): string =>
  `${paper === "a4" ? "A4" : "Letter"}, ${columns} × ${rows}: ${formatSides([widthMm, heightMm], 1)}`;

/** Labels for what is made, carried, sold and kept: chosen, seen as they will lie on their sheets, and printed. */
export function LabelsPage() {
  const { date, book, plan } = usePicked("date", "book", "plan");
  const [wish, setWish] = useState<LabelWish>(FIRST_WISH);
  const [at, setAt] = useState(0);
  const choose = (fields: Partial<LabelWish>) => {
    setWish({ ...wish, ...fields });
    setAt(0);
  };
  const labels = useMemo(() => listLabels(wish.of, plan, book), [wish.of, plan, book]);
  const printed = useMemo(
    () => toPrintedLabels(labels, wish, book.kitchen.ovenScale),
    [labels, wish, book.kitchen.ovenScale],
  );
  const { sheet, laid, pages } = useLabelPages(wish.sheetId, wish.usedUp, printed);
  const unknown = useMemo(() => listUnknownOnLabels(labels, wish), [labels, wish]);
  const count = printed.reduce((sum, { copies }) => sum + copies, 0);
  const shown = Math.min(at, Math.max(pages.length - 1, 0));
  const perPage = sheet.columns * sheet.rows;
  return (
    <StationLayout
      label="Labels"
      surface={
        <div className="flex flex-col gap-3">
          <div className="flex flex-wrap items-baseline gap-x-4">
            <h2 className="text-2xl">Labels</h2>
            <p className="figure text-3xl" role="status">
              {formatCount(count, "label")} on {formatCount(pages.length, "sheet")}
            </p>
          </div>
          <Shortage laid={laid} />
          {labels.length === 0 && <p className="quiet">{nothingYet[wish.of]}</p>}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(300px,100%),1fr))] gap-4">
            {labels.map((label) => {
              const laidLabel = laid[printed.findIndex(({ id }) => id === label.id)];
              return (
                <li key={label.id} className="flex flex-col gap-1.5">
                  {laidLabel ? (
                    <LabelDrawing sheet={sheet} laid={laidLabel} title={`Label for ${nameLabel(label)}`} />
                  ) : (
                    <p className="quiet rounded-lg border border-dashed border-base-300 p-3">
                      None is wanted.
                    </p>
                  )}
                  <TextField
                    label={nameLabel(label)}
                    className="grid grid-cols-[1fr_5.5rem] items-center gap-x-2"
                    inputClassName="figure text-xl"
                    value={String(wish.copies[label.id] ?? label.copies)}
                    check={(text) => checkWhole(text, MAX_COPIES)}
                    onCommit={(text) => choose({ copies: { ...wish.copies, [label.id]: Number(text) } })}
                  />
                </li>
              );
            })}
          </ul>
        </div>
      }
      side={
        <>
          <Choice
            legend="What is labelled"
            options={labelKinds.map((id) => ({ id, title: kindNames[id] }))}
            value={wish.of}
            onChange={(of) => choose({ of, copies: {} })}
          />
          <Select
            label="Sheet of labels"
            value={sheet.id}
            options={labelSheets.map((each) => ({ id: each.id, name: nameSheet(each) }))}
            onChange={(sheetId) => choose({ sheetId, usedUp: 0 })}
          />
          <TextField
            label={`Used up already on the first sheet, of ${perPage}`}
            inputClassName="figure"
            value={String(wish.usedUp)}
            check={(text) => checkWhole(text, perPage - 1)}
            onCommit={(text) => choose({ usedUp: Number(text) })}
          />
          {unknown.length > 0 && (
            <p role="alert" className="rounded bg-warning px-2 py-1 text-warning-content">
              {sayUnknownOnLabels(unknown)}
            </p>
          )}
          <PrintLinks date={date} wish={wish} unknown={unknown} />
          <Tick
            label="Say how much of each ingredient"
            isOn={wish.showsShares}
            onChange={(showsShares) => choose({ showsShares })}
          />
          <Tick
            label="Name what the bench and the pin may carry over"
            isOn={wish.namesBench}
            onChange={(namesBench) => choose({ namesBench })}
          />
          {count > 0 && (
            <>
              <LabelPageDrawing
                sheet={sheet}
                labels={pages[shown] ?? []}
                usedUp={shown === 0 ? wish.usedUp : 0}
                title={`Sheet ${shown + 1} of ${pages.length}, ${formatCount(pages[shown]?.length ?? 0, "label")}`}
                className="mx-auto w-full max-w-64 shrink-0 rounded border border-base-300"
              />
              {pages.length > 1 && <Pager at={shown} of={pages.length} onTurn={setAt} />}
            </>
          )}
          <p className="quiet text-sm">
            What must be named, how dates are worded and how large letters are: your local food code decides.
            Ingredients are by mass as weighed; see{" "}
            <Link href={`/day/${date}/allergens`} className="link">
              where allergens come from
            </Link>
            .
          </p>
        </>
      }
    />
  );
}

/** Print and PDF; labels whose allergens are not all known are asked about first. */
function PrintLinks({
  date,
  wish,
  unknown,
}: {
  readonly date: string;
  readonly wish: LabelWish;
  readonly unknown: readonly string[];
}) {
  const [isAsking, setAsking] = useState(false);
  const query = writeLabelWish({ ...wish, printsUnknown: unknown.length > 0 });
  const links: readonly {
    readonly href: string;
    readonly style: string;
    readonly text: ReactNode;
    readonly isFile: boolean;
  }[] = [
    {
      ...{ href: `/print/${date}/labels?${query}`, style: "btn-primary", isFile: false },
      text: (
        <>
          <Printer size={20} aria-hidden /> Print
        </>
      ),
    },
    {
      ...{ href: `/api/day/${date}/labels?${query}`, style: "", isFile: true },
      text: (
        <>
          <Download size={20} aria-hidden /> PDF
        </>
      ),
    },
  ];
  const row = (
    <div className="flex gap-2">
      {links.map(({ href, style, text, isFile }) => (
        <LeaveLink key={href} href={href} className={`btn touch flex-1 ${style}`} download={isFile}>
          {text}
        </LeaveLink>
      ))}
    </div>
  );
  if (unknown.length === 0) return row;
  return (
    <>
      <button type="button" className="btn touch" onClick={() => setAsking(true)}>
        <Printer size={20} aria-hidden /> Print incomplete labels
      </button>
      <Dialog title="Print incomplete labels?" open={isAsking} onClose={() => setAsking(false)}>
        <div className="flex flex-col gap-4">
          <p>{sayUnknownOnLabels(unknown)}</p>
          {row}
          <Link href={`/day/${date}/ingredients`} className="btn touch">
            Ingredient book
          </Link>
        </div>
      </Dialog>
    </>
  );
}

const nameLabel = ({ title, part, dueMin }: Label): string =>
  [title === "" ? "no name" : title, part && `tray ${part.index}`, dueMin !== null && formatClock(dueMin)]
    .filter(Boolean)
    .join(", ");

function checkWhole(text: string, most: number): string | null {
  const read = parseNumber(text);
  return read.ok && Number.isInteger(read.value) && read.value >= 0 && read.value <= most
    ? null
    : `A whole number from 0 to ${most}.`;
}

/** What had no room, and on how many labels. */
function Shortage({ laid }: { readonly laid: readonly LaidLabel[] }) {
  const tooSmall = laid.filter(({ isTooSmall }) => isTooSmall).length;
  const parts = [...new Set(laid.flatMap(({ leftOff }) => leftOff))];
  const short = laid.filter(({ leftOff }) => leftOff.length > 0).length;
  if (tooSmall > 0)
    return (
      <p role="alert" className="text-error">
        {formatCount(tooSmall, "label")} cannot hold even the allergens and dates: they run over the edge.
        Choose a larger label.
      </p>
    );
  if (short === 0) return null;
  return (
    <p role="alert" className="text-warning-content rounded bg-warning px-2 py-1">
      No room on {formatCount(short, "label")} for {parts.map((part) => partNames[part]).join(", ")}. A larger
      label has it.
    </p>
  );
}

function Pager({
  at,
  of,
  onTurn,
}: {
  readonly at: number;
  readonly of: number;
  readonly onTurn: (at: number) => void;
}) {
  return (
    <div className="flex items-center justify-center gap-3">
      <button
        type="button"
        className="btn touch"
        aria-label="The sheet before"
        disabled={at === 0}
        onClick={() => onTurn(at - 1)}
      >
        <ChevronLeft aria-hidden />
      </button>
      <span className="figure">
        sheet {at + 1} of {of}
      </span>
      <button
        type="button"
        className="btn touch"
        aria-label="The sheet after"
        disabled={at === of - 1}
        onClick={() => onTurn(at + 1)}
      >
        <ChevronRight aria-hidden />
      </button>
    </div>
  );
}

function Tick({
  label,
  isOn,
  onChange,
}: {
  readonly label: string;
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
}) {
  return (
    <label className="touch flex cursor-pointer items-center gap-3">
      <input
        type="checkbox"
        className="checkbox"
        checked={isOn}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}
