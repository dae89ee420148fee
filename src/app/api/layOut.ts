import { layOutRows, layOutWheelCuts, searchTightDiscs, type Placement } from "@/core/cutting";
import { fail, ok, type Result } from "@/core/result";
import { computeAreaMm2, computeBox } from "@/core/shape";
import type { LayoutDocument } from "@/schemas/validate";

/** A layout as the API gives it, whichever way it was found. */
export interface LaidOut {
  readonly sheet: LayoutDocument["sheet"];
  readonly count: number;
  readonly upperBound: number;
  readonly usedShare: number;
  readonly placements: readonly Placement[];
}

/** Lays out by rows, or searches tight within the document's budget. @returns A sentence if not one fits. */
export function layOut(document: LayoutDocument): Result<LaidOut, string> {
  const rows = layOutRows(document);
  if (!rows.ok) return fail(rows.failure.message);
  const { outline, sheet } = document;
  if (document.mode === "rows") return ok(rows.value);
  const answer = (placements: readonly Placement[], upperBound: number): Result<LaidOut, string> => {
    const usedShare = (placements.length * computeAreaMm2(outline)) / (sheet.widthMm * sheet.heightMm);
    return ok({ sheet, count: placements.length, upperBound, usedShare, placements });
  };
  if (outline.kind !== "disc") {
    const wheel = layOutWheelCuts({ ...document, piece: computeBox(outline), mayTurn: true });
    return answer(wheel.placements, wheel.upperBound);
  }
  const deadline = performance.now() + document.budgetMs;
  let best: readonly Placement[] = rows.value.placements;
  let { upperBound } = rows.value;
  for (const progress of searchTightDiscs({ ...document, diameterMm: outline.diameterMm })) {
    best = progress.placements;
    upperBound = progress.upperBound;
    if (performance.now() >= deadline) break;
  }
  return answer(best, upperBound);
}
