import type { Outline } from "../../shape";
import { type CutPlan, planCuts } from "../plan";
import {
  computeYield,
  findThicknessFor,
  planYield,
  toCutRequest,
  type ThicknessSpan,
  type Yield,
  type YieldRequest,
} from "./computeYield";

export interface YieldTableRequest {
  readonly dough: Omit<YieldRequest, "outline" | "thicknessMm">;
  readonly outlines: readonly Outline[];
  readonly thicknessesMm: readonly number[];
  /** The row and column whose sheets are wanted. */
  readonly chosen: { readonly outline: number; readonly thickness: number };
  /** A count to be met exactly, or null. */
  readonly wanted: number | null;
}

/** What one cutter makes. */
export interface YieldRow {
  /** By thickness, in the order asked. */
  readonly yields: readonly Yield[];
  /** Where this cutter gives exactly the wanted count; null if nowhere, or none is wanted. */
  readonly exact: ThicknessSpan | null;
  /** Dough for the wanted count at the chosen thickness, g; null if it cannot be cut, or none is wanted. */
  readonly neededG: number | null;
}

export interface YieldTable {
  readonly rows: readonly YieldRow[];
  /** The sheets of the chosen cell; null if it makes none. */
  readonly plan: CutPlan | null;
}

/** What one dough makes by cutter and thickness. O(outlines · thicknesses), each a few milliseconds at first. */
export function tabulateYield(request: YieldTableRequest): YieldTable {
  const { dough, outlines, thicknessesMm, chosen, wanted } = request;
  const chosenMm = thicknessesMm[chosen.thickness] ?? thicknessesMm[0] ?? 0;
  const within = { fromMm: Math.min(...thicknessesMm), toMm: Math.max(...thicknessesMm) };
  const rows = outlines.map((outline): YieldRow => {
    const at = (thicknessMm: number): YieldRequest => ({ ...dough, outline, thicknessMm });
    const needed = wanted === null ? null : planCuts(toCutRequest(at(chosenMm), wanted));
    return {
      yields: thicknessesMm.map((thicknessMm) => computeYield(at(thicknessMm))),
      exact: wanted === null ? null : findThicknessFor(at(chosenMm), wanted, within),
      neededG: needed?.ok ? needed.value.leastDough.doughG : null,
    };
  });
  const outline = outlines[chosen.outline];
  return { rows, plan: outline ? planYield({ ...dough, outline, thicknessMm: chosenMm }) : null };
}
