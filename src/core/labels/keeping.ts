import type { Way } from "../way";

/** Minutes of a day, by the clock. */
const MIN_PER_DAY = 24 * 60;

/** Baked and ready, kept on: whole days that its way says it keeps cold; 0 is to be eaten on the day it was made. */
export function findBakedKeepDays(way: Way): number {
  const keep = way.find(({ kind }) => kind === "keep");
  return keep ? Math.floor(keep.minutes / MIN_PER_DAY) : 0;
}

/** How a kept piece is made crisp again; null where its way does not say. */
export function findWarmUp(way: Way): { readonly minutes: number; readonly heatC: number | null } | null {
  const warm = way.find(({ kind }) => kind === "warmUp");
  return warm ? { minutes: warm.minutes, heatC: warm.heatC } : null;
}
