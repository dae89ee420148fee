import type { BatchRequest, DayPlan, Follows, LayerOver } from "@/core/plan";
import { computeTotalG, computeYieldShare, type Formula } from "@/core/formula";

/** Usable mass of a formula as it is written, its liquid as it is aimed at, g. */
export const usableG = (formula: Formula | undefined, aims: DayPlan["liquidAims"]) =>
  formula ? computeTotalG(formula, aims[formula.id]?.massG ?? null) * computeYieldShare(formula) : 0;

type Division = BatchRequest["division"]["by"];

/** What the baker says of the batch; masses that are null follow the formulas as they are written. */
export interface Wish {
  readonly pieceId: string;
  readonly by: Division;
  readonly pieces: number;
  readonly eachG: number;
  readonly otherId: string;
  readonly each: number;
  readonly otherEach: number;
  readonly follows: Follows;
  readonly doughG: number | null;
  readonly fills: "set" | "even";
  readonly fillingG: number | null;
  /** Of the piece's level layers, those that are given over the batch. */
  readonly layers: readonly LayerOver[];
  readonly dueMin: number;
}
