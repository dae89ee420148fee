import type { DayBook, DayPlan, PiecePlan } from "../plan";

/** A thermostat holds what is hot with its elements on for so much of the time. Craft's first guess. */
const HELD_SHARE = 0.4;
/** Minutes of an hour, by the clock. */
const MIN_PER_H = 60;
/** Watts of a kilowatt, by their names. */
const W_PER_KW = 1000;

/**
 * What the heats of a piece draw over the day, kWh: each bake holds its share of the oven's trays for its minutes, each
 * frying the fryer. Of an oven whose power nobody told it is nothing; what heats up empty belongs to no piece.
 */
export const sumHeatKwh = (
  { tasks, ovens }: Pick<DayPlan, "tasks" | "ovens">,
  fryers: DayBook["fryers"],
  { piece, loading }: PiecePlan,
): number =>
  tasks.reduce((sum, { kind, pieceId, machineId, pieces, placed }) => {
    if (pieceId !== piece.id) return sum;
    const hours = (placed.endMin - placed.startMin) / MIN_PER_H;
    const fryer = kind === "fry" ? fryers.find(({ id }) => id === machineId) : undefined;
    if (fryer) return sum + (fryer.heaterW / W_PER_KW) * HELD_SHARE * hours;
    const oven = kind === "bake" ? ovens.find(({ id }) => id === machineId) : undefined;
    if (!oven) return sum;
    const trays = Math.ceil(pieces / Math.max(loading.perTray, 1));
    return sum + oven.powerKw * HELD_SHARE * Math.min(trays / oven.traysAtOnce, 1) * hours;
  }, 0);
