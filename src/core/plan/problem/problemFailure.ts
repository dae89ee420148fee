import type { CutFailure } from "../../cutting";
import type { PortionFailure } from "../../filling";
import type { FormDoubt, FormFailure } from "../../forming";
import type { OilFailure } from "../../heat";
import type { TrayFailure } from "../../loading";
import type { Failure, Plain } from "../../result";
import type { SealDoubt } from "../../sealing";

/** Why no fryer takes a piece. */
export type FryFailure =
  | OilFailure
  | Failure<"noFryer", Plain>
  /** What it is made of is not known, so the oil cannot be worked out. */
  | Failure<"nothingToFryBy", Plain>
  | Failure<"fryerTooCool", { readonly fryer: string; readonly oilC: number; readonly maxC: number }>
  | Failure<"oilTooCool", { readonly oilC: number; readonly leastC: number }>
  | Failure<"oilOverMark", { readonly fryer: string; readonly overMm: number; readonly overG: number }>
  | Failure<"notInBasket", { readonly fryer: string }>
  | Failure<"oneCoolsOil", { readonly fryer: string; readonly leastC: number }>;

/** What waited too long between two jobs: how it is said depends on what the first of them was. */
export type Waited = "sugared" | "heated" | "keptHot" | "rolled" | "between";

/** What has to be decided, by its case and figures. `piece` and the like are names, as they are written in the book. */
export type ProblemFailure =
  // A piece cannot be made.
  | Failure<"noDough", { readonly piece: string }>
  | Failure<"noFilling", { readonly piece: string }>
  | Failure<"emptyFormula", { readonly piece: string; readonly formula: string }>
  | Failure<"noOven", { readonly piece: string }>
  | Failure<
      "ovenTooCold",
      {
        readonly piece: string;
        readonly oven: string;
        readonly hottestC: number;
        readonly maxC: number;
        readonly overC: number;
      }
    >
  | Failure<"cannotFry", { readonly piece: string; readonly why: FryFailure }>
  | Failure<"cannotLoad", { readonly piece: string; readonly why: TrayFailure }>
  | Failure<"cannotForm", { readonly piece: string; readonly why: FormFailure | PortionFailure }>
  | Failure<"cannotCut", { readonly piece: string; readonly why: CutFailure }>
  // It can, at a cost.
  | Failure<"formDoubt", { readonly piece: string; readonly why: FormDoubt }>
  | Failure<"narrowMargin", { readonly piece: string; readonly why: SealDoubt }>
  /** Closed it bursts its seam, open it boils over. */
  | Failure<
      "overfull",
      {
        readonly piece: string;
        readonly portionG: number;
        readonly overMl: number;
        readonly fitsG: number;
        readonly isClosed: boolean;
      }
    >
  | Failure<
      "thinSheet",
      {
        readonly piece: string;
        readonly dough: string;
        readonly wantedMm: number;
        readonly boughtMm: number;
      }
    >
  | Failure<
      "spareLoad",
      {
        readonly piece: string;
        readonly spares: number;
        readonly ordered: number;
        readonly loads: number;
        readonly more: number;
      }
    >
  | Failure<"cutUnfinished", { readonly dough: string }>
  // What there is does not do.
  /** `times` as much would do; null where nothing is mixed at all. */
  | Failure<
      "shortage",
      {
        readonly formula: string;
        readonly shortG: number;
        readonly enoughForPieces: number;
        readonly times: number | null;
      }
    >
  | Failure<
      "smallParts",
      {
        readonly formula: string;
        readonly partG: number;
        readonly largestG: number;
        readonly most: number;
      }
    >
  | Failure<"endlessRest", { readonly formula: string; readonly highC: number; readonly plannedMin: number }>
  | Failure<
      "expired",
      { readonly item: string; readonly massG: number; readonly count: number; readonly useBy: string }
    >
  | Failure<
      "oldOil",
      {
        readonly fryer: string;
        readonly usedLoads: number;
        readonly baskets: number;
        readonly overLoads: number;
        readonly changeAfterLoads: number;
      }
    >
  | Failure<
      "noShelfRoom",
      {
        readonly shelf: string;
        readonly place: string;
        readonly trayWidthMm: number;
        readonly trayDepthMm: number;
      }
    >
  | Failure<"freezerFull", { readonly trays: number; readonly room: number }>
  | Failure<
      "kitFull",
      { readonly held: string; readonly fromMin: number; readonly toMin: number; readonly over: number }
    >
  // The clock.
  | Failure<
      "pastPromise",
      {
        readonly piece: string;
        readonly count: number;
        readonly dueMin: number;
        readonly pastMin: number;
      }
    >
  | Failure<
      "late",
      {
        readonly job: string;
        readonly dueMin: number;
        readonly lateMin: number;
        readonly openMin: number;
      }
    >
  | Failure<
      "longWait",
      {
        readonly job: string;
        readonly before: string;
        readonly waited: Waited;
        readonly overMin: number;
      }
    >
  | Failure<"pinOff", { readonly job: string; readonly pinnedMin: number; readonly startMin: number }>
  | Failure<
      "beforeOpening",
      {
        readonly job: string;
        readonly isPinned: boolean;
        readonly startMin: number;
        readonly openMin: number;
      }
    >;
