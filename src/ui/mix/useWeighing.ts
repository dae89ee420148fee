"use client";

import type { DayBook, Weighing } from "@/core/plan";
import { usePicked } from "../bench/BenchProvider";

/** What was done about a formula's batch so far, or a record to begin with. */
export function toWeighing({ day, weighings }: DayBook, formulaId: string): Weighing {
  const stored = weighings.find((each) => each.dayId === day.id && each.formulaId === formulaId);
  return (
    stored ?? {
      // From day and formula, so that two tablets write the same record.
      id: `weigh-${day.date}-${formulaId}`,
      dayId: day.id,
      date: day.date,
      formulaId,
      tickedLineIds: [],
      took: null,
      mixG: null,
    }
  );
}

/** What was done about one formula's batch on the open day, and a way to change it. */
export function useWeighing(formulaId: string) {
  const { book, edit } = usePicked("book", "edit");
  const weighing = toWeighing(book, formulaId);
  return {
    weighing,
    setWeighing: (fields: Partial<Weighing>) =>
      edit([{ kind: "weighing", id: weighing.id, record: { ...weighing, ...fields } }]),
  };
}
