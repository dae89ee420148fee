import { computeEggG, type EggSize } from "../units";
import { isEgg, type Batch } from "./scaleFormula";

/** The day's eggs: how many to crack, and what is left of those that were parted. Masses g. */
export interface EggBalance {
  readonly wholeG: number;
  readonly yolksG: number;
  readonly whitesG: number;
  readonly toCrack: number;
  /** Left of the eggs cracked: whole egg that was not needed, yolks and whites of parted ones. */
  readonly wholeLeftG: number;
  readonly yolksLeftG: number;
  readonly whitesLeftG: number;
}

/** Counts this close to a whole number are whole: a batch is not scaled more exactly than that. */
const COUNT_TOLERANCE = 1e-6;

/**
 * Eggs of all batches together. Whole eggs are cracked whole; the rest is parted for yolks or whites.
 * @param coats - Egg that is brushed on, for which no batch is weighed.
 */
export function balanceEggs(
  batches: readonly Batch[],
  eggSize: EggSize,
  coats: { readonly wholeG: number; readonly whitesG: number } = { wholeG: 0, whitesG: 0 },
): EggBalance {
  const lines = batches.flatMap(({ lines: ofBatch }) => ofBatch);
  const sum = (id: "egg" | "egg-yolk" | "egg-white") =>
    lines.reduce(
      (total, line) => total + (isEgg(line.ingredientId) && line.ingredientId === id ? line.massG : 0),
      0,
    );
  const [wholeG, yolksG, whitesG] = [
    sum("egg") + coats.wholeG,
    sum("egg-yolk"),
    sum("egg-white") + coats.whitesG,
  ];
  const one = (part: "whole" | "yolk" | "white") => computeEggG(eggSize, part);
  const count = (massG: number, eachG: number) => Math.max(Math.ceil(massG / eachG - COUNT_TOLERANCE), 0);
  const crackedWhole = count(wholeG, one("whole"));
  const parted = Math.max(count(yolksG, one("yolk")), count(whitesG, one("white")));
  return {
    wholeG,
    yolksG,
    whitesG,
    toCrack: crackedWhole + parted,
    wholeLeftG: crackedWhole * one("whole") - wholeG,
    yolksLeftG: parted * one("yolk") - yolksG,
    whitesLeftG: parted * one("white") - whitesG,
  };
}
