import { requireNotNegative, requirePositive } from "../require";

/** A portion of filling, in every measure it may be taken by. */
export interface Portion {
  readonly massG: number;
  readonly volumeMl: number;
  /** The nearest measure at hand: `2½ tbsp`. */
  readonly spoons: string;
  /** The nearest numbered scoop; null where none is near. */
  readonly scoop: Scoop | null;
  /** Strokes of a piping bag. */
  readonly strokes: number;
  /** Weighing every tenth piece, it should lie between these, g. */
  readonly lowG: number;
  readonly highG: number;
}

/** A scoop is numbered by how many of it fill a US quart. */
export interface Scoop {
  readonly number: number;
  readonly volumeMl: number;
}

/** Metric spoons, ml: what a level measuring spoon holds. */
const TEASPOON_ML = 5;
const TABLESPOON_ML = 15;
/** From here a tablespoon is quicker than teaspoons. */
const TABLESPOONS_FROM_ML = 12;
/** One US quart, ml: the measure by which scoops are numbered. */
export const QUART_ML = 946.353;
/** The numbers that scoops are sold in. */
const SCOOP_NUMBERS = [4, 5, 6, 8, 10, 12, 16, 20, 24, 30, 40, 50, 60, 70, 100];
/** A scoop further off than this is no measure for the portion. */
const SCOOP_TOLERANCE_SHARE = 0.15;
/** One squeeze of a bag with a plain nozzle. Craft's first guess. */
const STROKE_ML = 8;
/** What a practised hand keeps to by spoon; outside it the piece is lean or bulges. */
const KEPT_SHARE = 0.075;

/** The filling that goes into `capacityMl` of room. @param densityGPerMl - Of the filling as spooned. */
export function computePortion(capacityMl: number, densityGPerMl: number): Portion {
  requireNotNegative("capacityMl", capacityMl);
  requirePositive("densityGPerMl", densityGPerMl);
  const massG = capacityMl * densityGPerMl;
  return {
    massG,
    volumeMl: capacityMl,
    spoons: findSpoons(capacityMl),
    scoop: findScoop(capacityMl),
    strokes: Math.max(Math.round(capacityMl / STROKE_ML), capacityMl > 0 ? 1 : 0),
    lowG: massG * (1 - KEPT_SHARE),
    highG: massG * (1 + KEPT_SHARE),
  };
}

/**
 * The nearest whole, half or quarter spoon.
 * @example findSpoons(37) // "2½ tbsp"
 * @example findSpoons(6) // "1¼ tsp"
 */
export function findSpoons(volumeMl: number): string {
  const [spoonMl, name] = volumeMl < TABLESPOONS_FROM_ML ? [TEASPOON_ML, "tsp"] : [TABLESPOON_ML, "tbsp"];
  const quarters = Math.max(Math.round((volumeMl / spoonMl) * 4), volumeMl > 0 ? 1 : 0);
  const whole = Math.floor(quarters / 4);
  const part = ["", "¼", "½", "¾"][quarters % 4] ?? "";
  return `${whole > 0 || part === "" ? whole : ""}${part} ${name}`;
}

/** The numbered scoop nearest to a volume, or null if the nearest is more than 15 % off. */
export function findScoop(volumeMl: number): Scoop | null {
  const scoops = SCOOP_NUMBERS.map((number) => ({ number, volumeMl: QUART_ML / number }));
  const offShare = (scoop: Scoop) => Math.abs(scoop.volumeMl - volumeMl) / Math.max(volumeMl, 1e-9);
  const [nearest] = scoops.sort((a, b) => offShare(a) - offShare(b));
  return nearest && offShare(nearest) <= SCOOP_TOLERANCE_SHARE ? nearest : null;
}
