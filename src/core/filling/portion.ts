import { requireNotNegative, requirePositive } from "../require";

/** A portion of filling. */
export interface Portion {
  readonly massG: number;
  readonly volumeMl: number;
  /** The nearest measure at hand: `2½ tbsp`. */
  readonly spoons: string;
}

/** Metric spoons, ml: what a level measuring spoon holds. */
const TEASPOON_ML = 5;
const TABLESPOON_ML = 15;
/** From here a tablespoon is quicker than teaspoons. */
const TABLESPOONS_FROM_ML = 12;

/** The filling that goes into `capacityMl` of room. @param densityGPerMl - Of the filling as spooned. */
export function computePortion(capacityMl: number, densityGPerMl: number): Portion {
  requireNotNegative("capacityMl", capacityMl);
  requirePositive("densityGPerMl", densityGPerMl);
  return { massG: capacityMl * densityGPerMl, volumeMl: capacityMl, spoons: findSpoons(capacityMl) };
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
