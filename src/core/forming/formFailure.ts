import type { Failure } from "../result";
import type { Outline } from "../shape";
import type { FormKind } from "./form";

/** Why a piece cannot be made so. Lengths mm. */
export type FormFailure =
  /** Of a mould, whether it is lined with an oval. */
  | Failure<"wrongOutline", { readonly form: FormKind; readonly cut: Outline; readonly isOval: boolean }>
  | Failure<"layersNotLevel", { readonly form: FormKind }>
  | Failure<"layersTooHigh", { readonly layersMm: number; readonly levelMm: number }>
  | Failure<
      "foldMarginTooWide",
      {
        readonly marginMm: number;
        readonly depthMm: number;
        readonly overMm: number;
        readonly mostMm: number;
      }
    >
  | Failure<"noRoomInFold", { readonly wallMm: number; readonly depthMm: number; readonly mostMm: number }>
  | Failure<"largeFoldTooSmall", { readonly marginMm: number; readonly depthMm: number }>
  | Failure<"spreadTooThick", { readonly spreadMm: number; readonly mostMm: number }>
  | Failure<
      "heapMarginTooWide",
      { readonly marginMm: number; readonly baseMm: number; readonly overMm: number }
    >
  | Failure<"topTooSmall", { readonly underMm: number; readonly oversizeMm: number }>
  | Failure<
      "stickTooShort",
      { readonly lengthMm: number; readonly insideMm: number; readonly gripMm: number }
    >
  | Failure<"stickShows", { readonly coverMm: number; readonly stickMm: number }>
  | Failure<"footTooWide", { readonly footMm: number; readonly fruitMm: number }>
  | Failure<"coreTooWide", { readonly coreMm: number; readonly fruitMm: number; readonly mostMm: number }>
  | Failure<
      "squareTooSmall",
      {
        readonly sideMm: number;
        readonly neededMm: number;
        readonly fruitMm: number;
        readonly fruitHeightMm: number;
      }
    >
  | Failure<
      "roundTooSmall",
      { readonly roundMm: number; readonly neededMm: number; readonly hasGuideRing: boolean }
    >
  | Failure<"rolledTooSmall", { readonly gatheredMm: number; readonly acrossMm: number }>
  | Failure<
      "topTooThin",
      {
        readonly acrossMm: number;
        readonly topMm: number;
        readonly leastMm: number;
        readonly widestMm: number;
      }
    >
  | Failure<"flutesTooDeep", { readonly fluteMm: number; readonly baseMm: number }>
  /** Of a round one figure each, of an oval two. */
  | Failure<
      "liningTooSmall",
      {
        readonly cutsMm: readonly number[];
        readonly neededMm: readonly number[];
        readonly wallMm: number;
        readonly leastWallMm: number;
      }
    >
  | Failure<"noRoomInMould", { readonly wallMm: number; readonly depthMm: number; readonly baseMm: number }>
  | Failure<"toppingTooWide", { readonly overMm: number; readonly mostMm: number }>
  | Failure<
      "holeTooWide",
      {
        readonly holeMm: number;
        readonly roundMm: number;
        readonly wallMm: number;
        readonly leastWallMm: number;
      }
    >
  | Failure<
      "tooLargeForCavity",
      {
        readonly stripMm: number;
        readonly rolledMm: number;
        readonly cavityMm: number;
        readonly mostStripMm: number;
      }
    >
  | Failure<
      "pressNotReached",
      { readonly pressMm: number; readonly settledMm: number; readonly neededMm: number }
    >;
