import { createRecordMemory } from "../../createMemory";
import { knowHabit, toHabitId, type HabitId, type PastLog } from "../../habits";
import type { Fryer, Oven } from "../book";

/** An oven's air off what the kit says, °C; of one of its decks, counted from 1, where a reading is of that. */
export const toOvenHabit = (ovenId: string, deck: number | null = null): HabitId =>
  toHabitId("oven", deck === null ? ovenId : `${ovenId}#${deck}`);
/** Minutes that an oven takes to heat up, against the kit's. */
export const toHeatUpHabit = (ovenId: string): HabitId => toHabitId("heatUp", ovenId);
/** What a fryer's heater gives, against the kit's. */
export const toHeaterHabit = (fryerId: string): HabitId => toHabitId("heater", fryerId);
/** Minutes of a piece in an oven or a fryer against those that are written. */
export const toHeatHabit = (pieceId: string, machineId: string): HabitId =>
  toHabitId("heat", `${pieceId}@${machineId}`);

/** Settings are whole degrees: a habit below this changes none. */
const LEAST_OFF_C = 0.5;

const remember = createRecordMemory<Oven, Oven>();

/**
 * An oven as readings know it: every deck off by what the kit says and by what the log has beyond that, of the deck
 * itself or else of the whole oven; and as quick to heat up as it was.
 */
export const learnOven = (oven: Oven, past: PastLog): Oven =>
  remember(oven, [past.habits], () => {
    const ofAllC = meanOf(past, toOvenHabit(oven.id)) ?? 0;
    const offC = oven.deckOffsetsC.map((_, i) => meanOf(past, toOvenHabit(oven.id, i + 1)) ?? ofAllC);
    const slower = toHeatFactor(meanOf(past, toHeatUpHabit(oven.id)) ?? 0);
    if (offC.every((each) => Math.abs(each) < LEAST_OFF_C) && slower === 1) return oven;
    return {
      ...oven,
      heatUpCPerMin: oven.heatUpCPerMin / slower,
      deckOffsetsC: oven.deckOffsetsC.map((each, i) =>
        Math.abs(offC[i] ?? 0) < LEAST_OFF_C ? each : each + (offC[i] ?? 0),
      ),
    };
  });

const rememberFryer = createRecordMemory<Fryer, Fryer>();

/** A fryer as its oil knows it. */
export const learnFryer = (fryer: Fryer, past: PastLog): Fryer =>
  rememberFryer(fryer, [past.habits], () => {
    const factor = toHeatFactor(meanOf(past, toHeaterHabit(fryer.id)) ?? 0);
    return factor === 1 ? fryer : { ...fryer, heaterW: fryer.heaterW * factor };
  });

/** Null where nothing of it was ever logged. */
const meanOf = ({ habits }: PastLog, id: HabitId): number | null => habits[id]?.mean ?? null;

/** A clock of whole minutes does not tell a share below this from none. */
const LEAST_SHARE = 0.01;

/** Minutes that a piece takes in a machine for each that is written, by the log; 1 without one. */
export function findHeatFactor(past: PastLog, pieceId: string, machineId: string): number {
  return toHeatFactor(knowHabit(past, toHeatHabit(pieceId, machineId)).mean);
}

/** What a plan makes of a habit's mean. */
export const toHeatFactor = (mean: number): number => (Math.abs(mean) < LEAST_SHARE ? 1 : Math.exp(mean));
