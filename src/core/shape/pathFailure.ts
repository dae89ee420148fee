import type { Failure, Plain } from "../result";

/** Why a drawn line is no outline of a cutter. */
export type PathFailure =
  | Failure<"pathTooLong", { readonly characters: number; readonly most: number }>
  | Failure<"pathUnreadable", { readonly reported: string }>
  | Failure<"pathEmpty", Plain>
  | Failure<"pathEnclosesNothing", Plain>
  | Failure<"severalLines", { readonly lines: number }>
  | Failure<"pathOpen", { readonly openMm: number }>
  | Failure<
      "outlineSize",
      {
        readonly widthMm: number;
        readonly heightMm: number;
        readonly leastMm: number;
        readonly mostMm: number;
      }
    >
  | Failure<"outlineTooFine", { readonly corners: number; readonly most: number }>
  | Failure<"outlineCrosses", Plain>;
