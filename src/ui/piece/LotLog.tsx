"use client";

import type { LotRecord, PiecePlan } from "@/core/plan";
import { findImplausible, sayHabitFailure, toHabitId, toPaceKey, type HabitFailure } from "@/core/habits";
import { formatCount, formatNumber, parseNumber } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { lotRecordLimits, type Limit } from "@/schemas/limits";
import { usePicked } from "../bench/BenchProvider";
import { TextField } from "../controls/TextField";
import { ByTheRun } from "../run/ByTheRun";

interface Props {
  readonly line: PiecePlan;
  readonly what: "fill" | "close" | "leaked";
}

/** What the day's lot of a piece really took, or how many leaked: it corrects the next plan. */
export function LotLog({ line, what }: Props) {
  const { book, edit, hasRun } = usePicked("book", "edit", "hasRun");
  const {
    piece,
    counts: { toFill },
    shaped: { works, hold },
  } = line;
  if (toFill === 0) return null;
  // From day and piece, so that two tablets write the same record.
  const id = `lot-${book.day.date}-${piece.id}`;
  const stored = book.lotRecords.find((record) => record.id === id);
  const save = (fields: Partial<LotRecord>) => {
    const record: LotRecord = {
      id,
      dayId: book.day.id,
      date: book.day.date,
      pieceId: piece.id,
      pieces: toFill,
      fill: null,
      close: null,
      leaked: null,
      craftLeakShare: hold?.craftShare ?? 0,
      craftCauses: hold?.craftCauses ?? {},
      ...stored,
      ...fields,
    };
    const isEmpty = record.fill === null && record.close === null && record.leaked === null;
    edit([{ kind: "lotRecord", id, record: isEmpty ? null : record }]);
  };
  if (what === "leaked") {
    const label = `Leaked or burst, of ${toFill}`;
    if (hasRun) return <ByTheRun label={label} value={stored?.leaked?.toString() ?? null} />;
    return (
      <TextField
        label={label}
        value={String(stored?.leaked ?? "")}
        check={(text) => checkWith({ ...lotRecordLimits.leaked, max: stored?.pieces ?? toFill }, text, true)}
        onCommit={(text) => save({ leaked: readOrNull(text) })}
      />
    );
  }
  const { style, pace } = works[what];
  const craftMinutes = line.handsMin[what === "fill" ? "fillByCraft" : "closeByCraft"];
  const verb = what === "fill" ? "Filling" : "Closing";
  const label = `${verb} these ${toFill} really took, min`;
  const taken = stored?.[what] ? formatNumber(stored[what].minutes, 1) : null;
  return (
    <div>
      {hasRun ? (
        <ByTheRun label={label} value={taken} />
      ) : (
        <TextField
          label={label}
          value={taken ?? ""}
          check={(text) =>
            checkWith(lotRecordLimits.minutes, text, false) ??
            findSlip(readOrNull(text), (minutes) =>
              findImplausible(toHabitId("hands", toPaceKey(what, style)), Math.log(minutes / craftMinutes)),
            )
          }
          onCommit={(text) => {
            const minutes = readOrNull(text);
            save({ [what]: minutes === null ? null : { style, minutes, craftMinutes } });
          }}
        />
      )}
      <p className="quiet text-sm">
        {pace.lots > 0
          ? `your pace, by ${formatCount(pace.lots, "lot")}: ${formatNumber(pace.ratio * 100)} % of the craft’s minutes`
          : `by the craft ${formatNumber(craftMinutes)} min; what you log corrects it`}
      </p>
    </div>
  );
}

function readOrNull(text: string): number | null {
  const parsed = parseNumber(text);
  return parsed.ok ? parsed.value : null;
}

function checkWith(limit: Limit, text: string, isWhole: boolean): string | null {
  if (text.trim() === "") return null;
  const parsed = parseNumber(text);
  if (!parsed.ok) return sayParseFailure(parsed.failure);
  return isWhole && !Number.isInteger(parsed.value)
    ? "Use a whole number."
    : describeLimitFault(parsed.value, limit);
}

/** A figure that cannot be is asked about where it is typed. */
const findSlip = (value: number | null, find: (value: number) => HabitFailure | null): string | null => {
  const failure = value === null || value <= 0 ? null : find(value);
  return failure && sayHabitFailure(failure);
};
