import { knowHabit, tellWork, toHabitId, toPaceKey, type HabitId, type PastLog } from "../../habits";

/** A scale on the bench does not tell a portion's share below this from none. */
const LEAST_SHARE = 0.01;
/** The baker's own hand is told by its measure alone. */
const HELPER = "#helper";

/** A measure in somebody's hand: `spoon`, `spoon#helper`. @param person - 0 the baker, 1 the helper. */
export const toHandKey = (style: string, person: number): string => (person === 0 ? style : style + HELPER);

/** What a hand's portions weigh against what they should, whatever the piece. */
export const toMeasureHabit = (handKey: string): HabitId => toHabitId("measure", handKey);

/** "Filling, spoon; helper": a hand with its measure in words. */
export function tellHand(handKey: string): string {
  const style = handKey.replace(HELPER, "");
  const work = tellWork(toPaceKey("fill", style), (id) => id);
  return style === handKey ? work : `${work}; helper`;
}

/**
 * Grams of main filling that a hand gives a piece for each that is planned, by the log of the piece, or of the measure for
 * one that was never weighed; 1 without either. A heavy hand needs more mixed; of a light one what is planned is still
 * there, and over.
 */
export function findPortionFactor(past: PastLog, pieceId: string, style: string): number {
  const own = toHabitId("portion", pieceId);
  const { mean } = knowHabit(past, past.habits[own] ? own : toMeasureHabit(style));
  return mean < LEAST_SHARE ? 1 : Math.exp(mean);
}
