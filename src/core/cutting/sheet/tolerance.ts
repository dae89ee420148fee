/**
 * Slack in fitting cuts on a sheet, mm. A sheet rolled to exactly n pitches must hold n cuts in spite of
 * rounding; a micrometre is far below what dough or a ruler can show and far above rounding at 1 m.
 */
export const FIT_TOLERANCE_MM = 1e-6;

/** Whole pitches in a length, counting one that misses by less than the tolerance. */
export function countPitches(lengthMm: number, pitchMm: number): number {
  return lengthMm < -FIT_TOLERANCE_MM ? -1 : Math.floor((lengthMm + FIT_TOLERANCE_MM) / pitchMm);
}
