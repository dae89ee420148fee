import type { Failure } from "../result";
import type { ParseFailure } from "../units";

/** Why a formula cannot be scaled so. */
export type ScaleFailure =
  | Failure<"nothingToWeigh", { readonly formula: string }>
  | Failure<"noSuchLine", { readonly formula: string }>
  | Failure<"noEggs", { readonly formula: string }>;

/** Why a line of a formula cannot be weighed. */
export type LineFailure =
  | ParseFailure
  | Failure<"amountOfNothing", { readonly shown: string }>
  | Failure<"unitNotWeighed", { readonly shown: string }>
  /** What has to be known first; null where nothing is known at all. */
  | Failure<"cannotWeigh", { readonly asked: string | null }>;
