import type { Composition } from "../heat";
import { hasGrain, type Dough } from "./formula";

/** As much water as fat by mass binds flour enough for a blank to be lifted whole: usual shortcrust has a little more. */
const FAT_PER_WATER_THAT_HOLDS = 1;
/** Blanks torn for each part of fat beyond that. Craft's first guess: one in twenty of a sweet paste twice as fat as wet. */
const TEARS_PER_EXCESS = 0.05;
/** More than this and no baker would roll it in a sheet at all. */
const MOST_TEARS = 0.2;

/**
 * Share of rolled blanks 100 mm across that tear or stretch when they are lifted off a sheet, 0 to 0.2: what shortens
 * (fat) against what binds (water). Layers hold a sheet together whatever its fat.
 */
export function findTearShare(dough: Dough, { fatShare, waterShare }: Composition): number {
  if (hasGrain(dough) || fatShare <= 0) return 0;
  const fatPerWater = waterShare > 0 ? fatShare / waterShare : Infinity;
  return Math.min(Math.max(fatPerWater - FAT_PER_WATER_THAT_HOLDS, 0) * TEARS_PER_EXCESS, MOST_TEARS);
}
