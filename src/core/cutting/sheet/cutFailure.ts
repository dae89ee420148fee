import type { Failure, Plain } from "../../result";
import type { BoxMm, Outline, SheetShape } from "../../shape";

/** Not one cut lies on a sheet: how much larger it would have to be; 0 and 0 where it is only too narrow at its ends. */
export type LayoutFailure = Failure<
  "nothingFits",
  {
    readonly shortWidthMm: number;
    readonly shortHeightMm: number;
    readonly sheet: SheetShape;
    readonly outline: Outline;
  }
>;

/** Why several outlines do not share a sheet. */
export type SharedFailure =
  | Failure<"sharedOnOval", Plain>
  | Failure<"noSetFits", { readonly boxes: readonly BoxMm[]; readonly usable: BoxMm }>;

/** Why what is asked of one sheet is not cut from it. */
export type PartsFailure = LayoutFailure | SharedFailure;

/** Which demand cannot be cut, and why. */
export type CutFailure =
  | Failure<
      "cutTooLarge",
      {
        readonly demandId: string;
        readonly outline: Outline;
        readonly marginMm: number;
        /** With its ragged edge. */
        readonly needs: BoxMm;
        readonly largest: BoxMm;
        readonly overMm: number;
      }
    >
  | Failure<"noSheetHolds", { readonly demandId: string; readonly why: LayoutFailure }>;
