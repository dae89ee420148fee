import type { Surroundings } from "./conduct";

/** Where dough waits. */
export type Place = "bench" | "fridge" | "freezer";

/**
 * How readily heat passes between dough and each place, W/m² K. Still air gives 5 by convection and 5 by
 * radiation; a fridge stirs its air somewhat; steel or wood below takes part through its own contact.
 * @see Incropera & DeWitt, table 1.1, for the span of free convection in air (2–25).
 */
const films: Record<Place, { readonly top: number; readonly bottom: number; readonly edge: number }> = {
  bench: { top: 9, bottom: 14, edge: 8 },
  fridge: { top: 11, bottom: 7, edge: 10 },
  freezer: { top: 12, bottom: 8, edge: 10 },
};

/** Film and the air caught under it: half a millimetre of still air at 0.026 W/m K. */
const WRAP_M2K_PER_W = 0.5e-3 / 0.026;

/**
 * What lies around a piece of dough in `place` at `airC`.
 * @param filmFactor - How many times the films above, above 0: a full fridge stirs less, a fan more.
 */
export function findSurroundings(place: Place, airC: number, wrapped: boolean, filmFactor = 1): Surroundings {
  const through = (filmWPerM2K: number) => {
    const outside = filmFactor * filmWPerM2K;
    return wrapped ? 1 / (1 / outside + WRAP_M2K_PER_W) : outside;
  };
  const { top, bottom, edge } = films[place];
  return {
    airC,
    topWPerM2K: through(top),
    bottomWPerM2K: through(bottom),
    edgeWPerM2K: through(edge),
  };
}
