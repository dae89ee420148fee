import { knowHabit, toHabitId, type PastLog } from "../../habits";

/** A scale on the bench does not tell a portion's share below this from none. */
const LEAST_SHARE = 0.01;

/**
 * Grams of main filling that a hand gives a piece for each that is planned, by the log; 1 without one. A heavy hand needs
 * more mixed; of a light one what is planned is still there, and over.
 */
export function findPortionFactor(past: PastLog, pieceId: string): number {
  const { mean } = knowHabit(past, toHabitId("portion", pieceId));
  return mean < LEAST_SHARE ? 1 : Math.exp(mean);
}
