import { findStudentReach } from "./studentT";

/** A forecast that was kept, beside what came. */
export interface KeptForecast {
  readonly value: number;
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  /** By how much it had been widened then. */
  readonly widened: number;
}

/** How often a told range is to hold. */
const RANGE_SHARE = 0.9;
/** Until so many are kept, ranges are taken to be mostly right. */
const PRIOR_FORECASTS = 20;
/** Of a normal figure: degrees beyond which a t is one. */
const NORMAL_DEGREES = 1e6;

/** What strays would be if ranges were right, in halves of the range: even steps of a normal figure's. */
const evenStrays = Array.from(
  { length: PRIOR_FORECASTS },
  (_, i) =>
    findStudentReach(NORMAL_DEGREES, (i + 0.5) / PRIOR_FORECASTS) /
    findStudentReach(NORMAL_DEGREES, RANGE_SHARE),
);

/**
 * By how much the ranges of a kind are to be widened so that nine in ten hold: that share's quantile of the strays seen
 * until now, in halves of the range as it was reckoned. Ranges are never told narrower than they are reckoned.
 * @see Vovk, Gammerman, Shafer, Algorithmic Learning in a Random World (2005): conformal prediction.
 */
export function findWidening(kept: readonly KeptForecast[]): number {
  const strays = [
    ...evenStrays,
    ...kept.map(
      ({ value, mean, low, high, widened }) => (2 * widened * Math.abs(value - mean)) / (high - low),
    ),
  ].sort((a, b) => a - b);
  return Math.max(strays[Math.ceil(strays.length * RANGE_SHARE) - 1] ?? 1, 1);
}

/** How often kept forecasts held. */
export const countHeld = (kept: readonly KeptForecast[]): number =>
  kept.filter(({ value, low, high }) => low <= value && value <= high).length;
