import { setFlagsFromString } from "node:v8";

/**
 * Room for new objects that a thread has from its start, MB. A layout of a large sheet is tens of thousands of cuts that live
 * until it is answered: from the runtime's one megabyte up they are moved again and again while it grows, a fifth to two
 * fifths of a search's time after its budget.
 */
export const YOUNG_SPACE_MB = 32;
/** The runtime counts two halves and a third for what is new and large. */
const PARTS = 3;

/**
 * Gives threads that are started from now on that room.
 * @returns What a thread's own limits must say as well.
 */
export function widenYoungSpace(): { maxYoungGenerationSizeMb: number } {
  setFlagsFromString(`--min-semi-space-size=${YOUNG_SPACE_MB}`);
  return { maxYoungGenerationSizeMb: PARTS * YOUNG_SPACE_MB };
}
