import type { BoxMm, Outline, SheetShape } from "../../shape";
import type { CuttingHandTimes, Placement, RowPattern } from "../sheet";

/** How one dough at one thickness is rolled, whatever is cut from it. */
export interface RollingRequest {
  readonly thicknessMm: number;
  readonly densityGPerMl: number;
  /** The largest sheet the bench and the baker roll. */
  readonly sheetLimit: BoxMm;
  readonly rerollLimit: number;
  readonly rerollLossShare: number;
  /** By how much more of its length a sheet draws back after each re-roll, 0 ≤ share < 1. */
  readonly rerollShrinkShare: number;
  /** False where the dough's grain allows only half turns. */
  readonly mayTurn: boolean;
  readonly handTimes: CuttingHandTimes;
}

/** So many blanks of one outline. */
export interface BlankDemand {
  readonly id: string;
  /** Size of the cut itself. */
  readonly outline: Outline;
  /** A whole number ≥ 1. */
  readonly count: number;
  readonly webMm: number;
  readonly marginMm: number;
  /** Seen in the finished piece: cut from the first rolling before what is not. */
  readonly isVisible: boolean;
  /** Of a ring: its centre is a blank too. Otherwise the centre goes to the trim. */
  readonly keepsCentre: boolean;
  /** Blanks beyond the count are worth having. Where they would want a partner, they stay in the trim instead. */
  readonly keepsSurplus: boolean;
  /** Across the log that slices are cut from; left out, one that a hand slices cleanly. */
  readonly logMm?: number;
}

/** A sheet that is bought, to be used as it is or rolled thinner. */
export interface BoughtSheetSize extends BoxMm {
  readonly thicknessMm: number;
}

export interface CutRequest extends RollingRequest {
  /** Share of blanks 100 mm across that tear as they are lifted off a sheet; what is rolled one by one is not lifted. */
  readonly tearSharePer100Mm: number;
  readonly demands: readonly BlankDemand[];
  /** A sheet the baker insists on for the first rolling. */
  readonly pinnedSheet: SheetShape | null;
  readonly boughtSheet: BoughtSheetSize | null;
  /** Cut from what trim is left, as many as fit; null to leave it. */
  readonly decoration: Outline | null;
}

/** Cuts of one outline on a sheet, in the order of cutting. */
export interface CutPart {
  readonly outline: Outline;
  readonly placements: readonly Placement[];
  /** In what rows a hand cuts them, inside `band`. */
  readonly pattern: RowPattern;
  /** The part of the sheet they lie in, from its top left corner, ragged edge not counted. */
  readonly band: BoxMm & { readonly xMm: number; readonly yMm: number };
  /** What the cuts are for, in the order of cutting; a decoration's cuts are for none. */
  readonly uses: readonly CutUse[];
}

export interface CutUse {
  readonly demandId: string;
  readonly count: number;
}

/** One sheet to roll and cut. */
export interface CutSheet {
  /** 0 is the first rolling, 1 the first re-roll. */
  readonly pass: number;
  readonly isDecoration: boolean;
  readonly sheet: SheetShape;
  /** Roll it to this: it draws back to the sheet. Larger only in re-rolls. */
  readonly rolledTo: BoxMm;
  readonly marginMm: number;
  readonly parts: readonly CutPart[];
  readonly count: number;
  /** No arrangement of the sheet's first outline alone could hold more. */
  readonly upperBound: number;
  readonly usedShare: number;
  readonly doughG: number;
  readonly blanksG: number;
  readonly trimG: number;
  readonly handMin: number;
}

/** What a re-roll starts from. */
export interface Reroll {
  readonly pass: number;
  readonly trimG: number;
  readonly lossG: number;
  /** Trim gathered and rested but not needed in a sheet. */
  readonly unrolledG: number;
}

/** Blanks that are not cut from a sheet: weighed and rolled one by one, or sliced off a log. */
export interface Portioning {
  readonly way: "rolled" | "sliced";
  readonly portions: readonly {
    readonly demandId: string;
    readonly count: number;
    readonly eachG: number;
    /** Of a slice: how thick it is, and across the log it comes off. */
    readonly sliceMm: number;
    readonly logMm: number;
    /** Logs that the slices come off, none longer than a sheet, and how long each is. */
    readonly logs: number;
    readonly logLengthMm: number;
  }[];
}

/** What became of one demand. */
export interface DemandYield {
  readonly demandId: string;
  readonly count: number;
  /** Of these, from the first rolling. */
  readonly firstCount: number;
  readonly eachG: number;
}

/** Dough in = blanks + decorations + trim left + loss, to 1e-9 of the dough. */
export interface CutPlan {
  readonly sheets: readonly CutSheet[];
  readonly rerolls: readonly Reroll[];
  readonly portioning: Portioning | null;
  /** In the order of the demands. */
  readonly yields: readonly DemandYield[];
  readonly decorations: number;
  readonly doughG: number;
  readonly blanksG: number;
  readonly decorationsG: number;
  readonly trimLeftG: number;
  readonly lossG: number;
  readonly handMin: number;
  /** No plan at all can use less: the blanks alone. */
  readonly leastDoughG: number;
}

/**
 * What the baker asks the plan to be best at; `sensible` weighs dough, minutes and fuss together; `pinned` keeps the sheet the baker drew; `portioned` and `sliced` make
 * blanks without a sheet.
 */
export type CutAim = (typeof cutAims)[number];
export const cutAims = [
  "sensible",
  "leastDough",
  "fewestRerolls",
  "leastTime",
  "portioned",
  "sliced",
  "pinned",
] as const;
