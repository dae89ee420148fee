import { chill } from "./chill";
import { toRestStays, type ColdPlace, type ReadinessRequest } from "./readiness";

/** Films that are looked at, as multiples of the model's: a still larder to a blast of cold air. */
const LEAST_FACTOR = 1 / 8;
const MOST_FACTOR = 8;
/** Halvings of that span in its logarithm: to a thousandth. */
const HALVINGS = 12;

/** A core after so many minutes of rest in one cold place, °C. By conduction. */
export function computeCoreC(request: ReadinessRequest, place: ColdPlace, restedMin: number): number {
  const { body, composition, densityGPerMl, mixedC: startC, wrapped } = request;
  const stays = toRestStays(request, place, restedMin);
  return chill({ body, composition, densityGPerMl, startC, wrapped, stays }).at(-1)?.coreC ?? startC;
}

/**
 * How many times the model's film lets heat out, so that a core is as cold as it was found after a rest.
 * @param restedMin - Above 0. @param coreC - Read then.
 * @returns Null where no film explains it: warmer than it came, or colder than the best cold would make it.
 */
export function findFilm(
  request: ReadinessRequest,
  place: ColdPlace,
  restedMin: number,
  coreC: number,
): number | null {
  if (restedMin <= 0) return null;
  const coreAfter = (filmFactor: number): number =>
    computeCoreC({ ...request, filmFactors: { [place]: filmFactor } }, place, restedMin);
  // The more readily heat leaves, the colder the core.
  if (coreC > coreAfter(LEAST_FACTOR) || coreC < coreAfter(MOST_FACTOR)) return null;
  let [low, high] = [Math.log(LEAST_FACTOR), Math.log(MOST_FACTOR)];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (coreAfter(Math.exp(middle)) > coreC) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}
