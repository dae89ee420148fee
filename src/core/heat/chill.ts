import { requireNotNegative } from "../require";
import { conduct, type Moment, type Stage } from "./conduct";
import { buildGrid, type Body } from "./grid";
import { describeMaterial, type Composition } from "./material";
import { findSurroundings, type Place } from "./places";

/** A stretch of time in one place. */
export interface Stay {
  readonly place: Place;
  /** Air there, °C. */
  readonly airC: number;
  readonly minutes: number;
  /** How many times the model's film lets heat out there; 1 if it is not said. */
  readonly filmFactor?: number;
  /** The dough is turned over at the end of this stay. */
  readonly turnOver: boolean;
}

export interface ChillRequest {
  readonly body: Body;
  readonly composition: Composition;
  readonly densityGPerMl: number;
  readonly startC: number;
  readonly wrapped: boolean;
  /** At least one; each takes over the dough as the one before has left it. */
  readonly stays: readonly Stay[];
}

/**
 * Temperatures of a piece of dough through its stays.
 * @param isEnough - Asked after every step; true ends the run early.
 * @returns Moments in the order of time, from 0 to the end of the last stay.
 * @throws {RangeError} If a size is not above 0, or minutes are below 0.
 */
export function chill(request: ChillRequest, isEnough?: (moment: Moment) => boolean): Moment[] {
  const { body, composition, densityGPerMl, startC, wrapped, stays } = request;
  const stages = stays.map(({ place, airC, minutes, turnOver, filmFactor = 1 }): Stage => {
    requireNotNegative("minutes", minutes);
    return { surroundings: findSurroundings(place, airC, wrapped, filmFactor), minutes, turnOver };
  });
  return conduct(buildGrid(body), describeMaterial(composition, densityGPerMl), startC, stages, isEnough);
}

/**
 * First minute at which a reading comes to a temperature, between two moments in proportion.
 * @returns 0 if it is there from the start on the wanted side, null if it never comes.
 */
export function findCrossingMin(
  moments: readonly Moment[],
  reading: "coreC" | "surfaceC" | "meanC",
  wantedC: number,
  direction: "falling" | "rising",
): number | null {
  const sign = direction === "falling" ? 1 : -1;
  const past = (moment: Moment) => sign * (moment[reading] - wantedC) <= 0;
  const index = moments.findIndex(past);
  const [before, after] = [moments[index - 1], moments[index]];
  if (!after) return null;
  if (!before) return after.atMin;
  const share = (before[reading] - wantedC) / (before[reading] - after[reading]);
  return before.atMin + share * (after.atMin - before.atMin);
}
