import type { Failure, Plain } from "../result";
import type { ParseFailure } from "../units";

/** Why the room of a piece cannot be divided so. */
export type PortionFailure =
  | Failure<"unknownFilling", Plain>
  | Failure<"sharesTooLarge", { readonly share: number }>
  | Failure<"noRoom", { readonly wholeMl: number; readonly roomMl: number }>;

/** Why a text is no portion. */
export type PortionTextFailure =
  | Failure<"noScoop", Plain>
  | Failure<"noPortion", { readonly why: ParseFailure }>;
