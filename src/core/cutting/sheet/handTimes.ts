/**
 * What a hand needs at the bench. These are the craft's first guess, to be replaced by the baker's own times;
 * they decide between plans, so what counts is their proportion.
 */
export interface CuttingHandTimes {
  /** Flouring, turning and measuring one sheet, whatever its size. */
  readonly perSheetMin: number;
  /** Rolling out, per square metre of finished sheet. */
  readonly rollingMinPerM2: number;
  /** Cutting one blank and laying it aside. */
  readonly perBlankS: number;
  /** Gathering and stacking the trim before a re-roll. */
  readonly perRerollMin: number;
  /** Weighing one portion, rounding it and rolling it to size. */
  readonly perPortionS: number;
  /** Slicing one blank off a log and flattening it. */
  readonly perSliceS: number;
}

export const craftHandTimes: CuttingHandTimes = {
  perSheetMin: 2,
  rollingMinPerM2: 10,
  perBlankS: 4,
  perRerollMin: 2,
  perPortionS: 40,
  perSliceS: 20,
};

/** Hands are told by the square metre, sheets by the millimetre. */
const MM2_PER_M2 = 1e6;

/** Minutes of a hand for so many sheets of so much area in all, and so many cuts. */
export function estimateHandMin(
  times: CuttingHandTimes,
  sheets: number,
  areaMm2: number,
  cuts: number,
): number {
  return (
    sheets * times.perSheetMin +
    (areaMm2 / MM2_PER_M2) * times.rollingMinPerM2 +
    (cuts * times.perBlankS) / 60
  );
}
