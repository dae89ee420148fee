"use client";

import type { Weighing } from "@/core/plan";
import { usePicked } from "../bench/BenchProvider";

/** What was done about one formula's batch on the open day, and a way to change it. */
export function useWeighing(formulaId: string) {
  const { book, edit } = usePicked("book", "edit");
  const { day, weighings } = book;
  const stored = weighings.find((each) => each.dayId === day.id && each.formulaId === formulaId);
  const weighing: Weighing = stored ?? {
    // From day and formula, so that two tablets write the same record.
    id: `weigh-${day.date}-${formulaId}`,
    dayId: day.id,
    date: day.date,
    formulaId,
    tickedLineIds: [],
    took: null,
    mixG: null,
  };
  return {
    weighing,
    setWeighing: (fields: Partial<Weighing>) =>
      edit([{ kind: "weighing", id: weighing.id, record: { ...weighing, ...fields } }]),
  };
}
