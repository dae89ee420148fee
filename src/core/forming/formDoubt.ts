import type { Failure } from "../result";

/** Something that works and is not as it should be. */
export type FormDoubt =
  | Failure<
      "pressedUp",
      {
        readonly cutsMm: readonly number[];
        readonly neededMm: readonly number[];
        readonly shortMm: number;
        readonly wallMm: number;
        readonly rolledMm: number;
      }
    >
  | Failure<
      "cornersShort",
      {
        readonly overlapMm: number;
        readonly askedMm: number;
        readonly gapMm: number;
        readonly sideMm: number;
        readonly wantedMm: number;
      }
    >;
