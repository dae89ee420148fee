"use client";

import type { CutRecord, DayCut } from "@/core/plan";
import { findImplausible, sayHabitFailure, toHabitId, toShareLog } from "@/core/habits";
import { formatCount, formatNumber, parseNumber } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { cutRecordLimits } from "@/schemas/limits";
import { usePicked } from "../bench/BenchProvider";
import { TextField } from "../controls/TextField";
import { ByTheRun } from "../run/ByTheRun";

/** What the sheets of one dough really gave: typed once they are cut, it corrects the next forecast. */
export function CutLog({ cut }: { readonly cut: DayCut }) {
  const { book, plan, edit, hasRun } = usePicked("book", "plan", "edit", "hasRun");
  const planned = cut.plan.sheets.reduce(
    (sum, { count, isDecoration }) => sum + (isDecoration ? 0 : count),
    0,
  );
  if (planned === 0) return null;
  // From day and cut, so that two tablets write the same record.
  const id = `cut-${book.day.date}-${cut.id}`.replace(/[^a-z0-9-]/g, "-");
  const stored = book.cutRecords.find((record) => record.id === id);
  const habit = plan.yieldHabits[cut.dough.id];
  const save = (got: number) => {
    const record: CutRecord = {
      id,
      dayId: book.day.id,
      date: book.day.date,
      doughId: cut.dough.id,
      planned,
      got,
    };
    edit([{ kind: "cutRecord", id, record }]);
  };
  const check = (text: string): string | null => {
    if (text.trim() === "") return null;
    const parsed = parseNumber(text);
    if (!parsed.ok) return sayParseFailure(parsed.failure);
    if (!Number.isInteger(parsed.value)) return "Use a whole number.";
    const beyond = describeLimitFault(parsed.value, cutRecordLimits.got);
    if (beyond) return beyond;
    const slip = findImplausible(toHabitId("blanks", cut.dough.id), toShareLog(parsed.value, planned));
    return slip && sayHabitFailure(slip);
  };
  const label = `Really cut, of ${planned} planned`;
  return (
    <div>
      {hasRun ? (
        <ByTheRun label={label} value={stored ? String(stored.got) : null} />
      ) : (
        <TextField
          label={label}
          value={stored ? String(stored.got) : ""}
          check={check}
          onCommit={(text) => {
            const parsed = parseNumber(text);
            if (parsed.ok) save(parsed.value);
            else if (stored) edit([{ kind: "cutRecord", id, record: null }]);
          }}
        />
      )}
      {habit && habit.rollings > 0 && (
        <p className="quiet text-sm">
          your log of {cut.dough.name}: {formatCount(habit.rollings, "rolling")},{" "}
          {formatNumber(habit.share * 100)} % of what was planned
        </p>
      )}
    </div>
  );
}
