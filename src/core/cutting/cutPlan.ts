import type { BoxMm, Outline } from "../shape";
import type { CuttingHandTimes } from "./handTimes";
import type { Layout } from "./layout";

export interface CutRequest {
  /** Size of the cut itself. */
  readonly outline: Outline;
  /** Blanks needed, a whole number ≥ 1. */
  readonly demand: number;
  readonly thicknessMm: number;
  readonly densityGPerMl: number;
  readonly webMm: number;
  readonly marginMm: number;
  /** The largest sheet the bench and the baker roll. */
  readonly sheetLimit: BoxMm;
  readonly rerollLimit: number;
  readonly rerollLossShare: number;
  readonly handTimes: CuttingHandTimes;
  /** A sheet size the baker insists on for the first rolling. */
  readonly pinnedSheet: BoxMm | null;
}

/** One sheet to roll and cut. */
export interface CutSheet {
  /** 0 is the first rolling, 1 the first re-roll. */
  readonly pass: number;
  readonly layout: Layout;
  readonly doughG: number;
  readonly blanksG: number;
  readonly trimG: number;
}

/** What a re-roll starts from. */
export interface Reroll {
  readonly pass: number;
  readonly trimG: number;
  readonly lossG: number;
  /** Trim gathered and rested but not needed in a sheet. */
  readonly unrolledG: number;
}

/** Doughs in = blanks + trim left + loss, to 1e-9 of the dough. */
export interface CutPlan {
  readonly sheets: readonly CutSheet[];
  readonly rerolls: readonly Reroll[];
  /** Blanks cut; at least the demand. */
  readonly count: number;
  readonly blankG: number;
  readonly doughG: number;
  readonly blanksG: number;
  readonly trimLeftG: number;
  readonly lossG: number;
  readonly handMin: number;
  /** No plan at all can use less: the blanks alone. */
  readonly leastDoughG: number;
}

/** What the baker asks the plan to be best at; `pinned` keeps the sheet the baker drew. */
export type CutAim = "leastDough" | "fewestRerolls" | "leastTime" | "pinned";

export interface CutFault {
  readonly kind: "nothingFits";
  readonly message: string;
}
