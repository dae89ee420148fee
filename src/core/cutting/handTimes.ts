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
}

export const craftHandTimes: CuttingHandTimes = {
  perSheetMin: 2,
  rollingMinPerM2: 10,
  perBlankS: 4,
  perRerollMin: 2,
};
