"use client";

import { useMemo } from "react";
import type { DayPlan, DayTask } from "@/core/plan";
import { formatClock, formatHeat, type OvenScale } from "@/core/units";
import type { JobWords } from "./joinJobs";

/** Names for the jobs of a plan, the same from draw to draw. */
export function useJobWords(plan: DayPlan, scale: OvenScale) {
  return useMemo(() => {
    const names = new Map([
      ...plan.lines.map(({ piece }) => [piece.id, piece.name] as const),
      ...[...plan.doughs, ...plan.fillings].map(({ formula }) => [formula.id, formula.name] as const),
    ]);
    const nameOf = (id: string) => names.get(id) ?? "";
    const sayLoad = (task: DayTask): JobWords => {
      const title = `${task.pieces} ${nameOf(task.pieceId ?? "")}`;
      const note = [describeHeat(task, scale), `out ${formatClock(task.placed.endMin)}`]
        .filter(Boolean)
        .join(", ");
      return { title, short: title, note, line: title, count: note };
    };
    return { nameOf, sayLoad };
  }, [plan, scale]);
}

/** `205 °C`, or `205–175 °C` where the heat is lowered on the way. */
function describeHeat({ heat, kind }: DayTask, ovenScale: OvenScale): string {
  if (!heat) return "";
  // Oil is measured, whatever the ovens are marked in.
  const scale = kind === "fry" ? "celsius" : ovenScale;
  if (heat.startC === heat.endC) return formatHeat(heat.startC, scale);
  return scale === "celsius"
    ? `${heat.startC}–${heat.endC} °C`
    : `${formatHeat(heat.startC, scale)}–${formatHeat(heat.endC, scale)}`;
}
