import type { DayBatch, DayPlan, PiecePlan } from "../plan";

/** What a day's plan spends, as far as prices are known. */
export interface RunCosts {
  readonly pieces: readonly {
    readonly pieceId: string;
    /** Of dough, filling and what they lose, for all pieces of the kind; in the smallest coin. */
    readonly ingredientsMinor: number;
    readonly handsMin: number;
    /** What its ovens draw for all of the kind, where their power is told; runs of before have none. */
    readonly heatKwh?: number;
  }[];
  /** Ingredients without a price: what is told is so much too little. */
  readonly unpriced: readonly string[];
  /** Dough that is rolled and not used again. */
  readonly trimG: number;
}

/** A thermostat holds a hot oven with its elements on for so much of the time: craft's. */
const HELD_SHARE = 0.4;
const MIN_PER_H = 60;

/** What the bakes of a piece draw: each holds its share of the oven's trays for its minutes. */
const sumHeatKwh = ({ tasks, ovens }: DayPlan, { piece, loading }: PiecePlan): number =>
  tasks.reduce((sum, { kind, pieceId, machineId, pieces, placed }) => {
    const oven = ovens.find(({ id }) => id === machineId);
    if (kind !== "bake" || pieceId !== piece.id || !oven || oven.powerKw === 0) return sum;
    const trays = Math.ceil(pieces / Math.max(loading.perTray, 1));
    const share = Math.min(trays / oven.traysAtOnce, 1);
    return sum + oven.powerKw * HELD_SHARE * share * ((placed.endMin - placed.startMin) / MIN_PER_H);
  }, 0);

/** What a day will cost, as its plan stands: by piece, in the smallest coin, minutes of hands and kWh. */
export function freezeCosts(plan: DayPlan): RunCosts {
  const { lines, doughs, fillings, analyses, cuts, tasks } = plan;
  const batches = [...doughs, ...fillings];
  /** A gram as it is used; of what comes out of the larder nothing is bought today. */
  const priceOf = ({ formula, batch }: DayBatch): number => {
    const costMinor = analyses[formula.id]?.costMinor ?? 0;
    return batch && batch.usableG > 0 ? (costMinor * batch.scale) / batch.usableG : 0;
  };
  const priceById = new Map(batches.map((batch) => [batch.formula.id, priceOf(batch)]));
  return {
    pieces: lines.map((line) => ({
      pieceId: line.piece.id,
      heatKwh: sumHeatKwh(plan, line),
      ingredientsMinor:
        line.doughG * (priceById.get(line.piece.doughId) ?? 0) +
        line.fills.reduce((sum, { part, totalG }) => sum + totalG * (priceById.get(part.fillingId) ?? 0), 0),
      handsMin: tasks.reduce((sum, task) => sum + (task.pieceId === line.piece.id ? task.handsMin : 0), 0),
    })),
    unpriced: [...new Set(batches.flatMap(({ formula }) => analyses[formula.id]?.unpricedLines ?? []))],
    trimG: cuts.reduce((sum, { plan }) => sum + plan.trimLeftG, 0),
  };
}
