import type { DayBatch, DayPlan } from "../plan";

/** What a day's plan spends, as far as prices are known. */
export interface RunCosts {
  readonly pieces: readonly {
    readonly pieceId: string;
    /** Of dough, filling and what they lose, for all pieces of the kind; in the smallest coin. */
    readonly ingredientsMinor: number;
    readonly handsMin: number;
  }[];
  /** Ingredients without a price: what is told is so much too little. */
  readonly unpriced: readonly string[];
  /** Dough that is rolled and not used again. */
  readonly trimG: number;
}

export function freezeCosts({ lines, doughs, fillings, analyses, cuts, tasks }: DayPlan): RunCosts {
  const batches = [...doughs, ...fillings];
  /** A gram as it is used; of what comes out of the larder nothing is bought today. */
  const priceOf = ({ formula, batch }: DayBatch): number => {
    const costMinor = analyses[formula.id]?.costMinor ?? 0;
    return batch && batch.usableG > 0 ? (costMinor * batch.scale) / batch.usableG : 0;
  };
  const priceById = new Map(batches.map((batch) => [batch.formula.id, priceOf(batch)]));
  return {
    pieces: lines.map(({ piece, doughG, fills }) => ({
      pieceId: piece.id,
      ingredientsMinor:
        doughG * (priceById.get(piece.doughId) ?? 0) +
        fills.reduce((sum, { part, totalG }) => sum + totalG * (priceById.get(part.fillingId) ?? 0), 0),
      handsMin: tasks.reduce((sum, task) => sum + (task.pieceId === piece.id ? task.handsMin : 0), 0),
    })),
    unpriced: [...new Set(batches.flatMap(({ formula }) => analyses[formula.id]?.unpricedLines ?? []))],
    trimG: cuts.reduce((sum, { plan }) => sum + plan.trimLeftG, 0),
  };
}
