import { createRecordMemory } from "../../createMemory";
import { knowHabit, toHabitId, type HabitId, type PastLog } from "../../habits";
import type { Oven } from "../book/book";

/** An oven's air off what the kit says, °C. */
export const toOvenHabit = (ovenId: string): HabitId => toHabitId("oven", ovenId);
/** Minutes of a piece in an oven or a fryer against those that are written. */
export const toHeatHabit = (pieceId: string, machineId: string): HabitId =>
  toHabitId("heat", `${pieceId}@${machineId}`);

/** Settings are whole degrees: a habit below this changes none. */
const LEAST_OFF_C = 0.5;

const remember = createRecordMemory<Oven, Oven>();

/** An oven as readings know it: every deck off by what the kit says and by what the log has beyond that. */
export const learnOven = (oven: Oven, past: PastLog): Oven =>
  remember(oven, [past.habits], () => {
    const offC = knowHabit(past, toOvenHabit(oven.id)).mean;
    if (Math.abs(offC) < LEAST_OFF_C) return oven;
    return { ...oven, deckOffsetsC: oven.deckOffsetsC.map((each) => each + offC) };
  });

/** A clock of whole minutes does not tell a share below this from none. */
const LEAST_SHARE = 0.01;

/** Minutes that a piece takes in a machine for each that is written, by the log; 1 without one. */
export function findHeatFactor(past: PastLog, pieceId: string, machineId: string): number {
  return toHeatFactor(knowHabit(past, toHeatHabit(pieceId, machineId)).mean);
}

/** What a plan makes of a habit's mean. */
export const toHeatFactor = (mean: number): number => (Math.abs(mean) < LEAST_SHARE ? 1 : Math.exp(mean));
