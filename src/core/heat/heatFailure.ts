import type { Failure } from "../result";

/** Why a bake cannot be scaled from a known one. */
export type BakeFailure =
  | Failure<"ovenBelowDone", { readonly ovenC: number; readonly doneC: number }>
  | Failure<"neverDone", { readonly withinMin: number; readonly doneC: number }>
  /** No oven is so fierce that the known bake could have been so quick. */
  | Failure<"knownTooQuick", { readonly tookMin: number; readonly doneC: number }>
  /** No oven is so mild that it could have been so slow. */
  | Failure<"knownTooSlow", { readonly tookMin: number; readonly doneC: number }>;

/** Why no oil behaves so. */
export type OilFailure =
  | Failure<
      "neverHot",
      {
        readonly heaterW: number;
        readonly oilKg: number;
        readonly steadyC: number;
        readonly setC: number;
      }
    >
  /** What two times make of the oil is outside what oil in a pan has. */
  | Failure<
      "notOilHeat",
      {
        readonly jPerKgK: number;
        readonly least: number;
        readonly most: number;
        readonly oilKg: number;
        readonly heaterW: number;
      }
    >
  | Failure<
      "notOilLoss",
      {
        readonly wPerKgK: number;
        readonly least: number;
        readonly most: number;
        readonly heaterW: number;
      }
    >;
