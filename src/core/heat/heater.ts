import { fryLoad, type FryLoad, type OilBath } from "./oil";

/** Heaters that are looked at, as multiples of what the kit says. */
const LEAST_FACTOR = 1 / 4;
const MOST_FACTOR = 4;
/** Halvings of that span in its logarithm: to a thousandth. */
const HALVINGS = 12;
/** A heater a fifth weaker or stronger has to show in the oil by so much, °C: a thermometer in moving oil tells no less. */
const TELLING_C = 1;
const A_FIFTH = 1.2;

/**
 * How many times its power a fryer's heater gave, so that its oil fell as low as was read.
 * @param lowestC - The coldest the oil got with the load in it.
 * @returns Null where no heater explains it, and where the load is so small that the heater hardly shows.
 */
export function findHeater(bath: OilBath, load: FryLoad, lowestC: number): number | null {
  const lowestWith = (factor: number): number | null => {
    const fried = fryLoad({ ...bath, heaterW: bath.heaterW * factor }, load);
    return fried.ok ? fried.value.lowestC : null;
  };
  // Too weak to hold its setting at all is weaker than any oil that was fried in.
  const falls = (factor: number) => (lowestWith(factor) ?? -Infinity) < lowestC;
  let [low, high] = [Math.log(LEAST_FACTOR), Math.log(MOST_FACTOR)];
  if (!falls(LEAST_FACTOR) || falls(MOST_FACTOR)) return null;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (falls(Math.exp(middle))) low = middle;
    else high = middle;
  }
  const factor = Math.exp((low + high) / 2);
  const [weaker, stronger] = [lowestWith(factor / A_FIFTH), lowestWith(factor * A_FIFTH)];
  return stronger === null || (weaker !== null && stronger - weaker < TELLING_C) ? null : factor;
}
