import type { Failure, Plain } from "../../result";
import { formatMass } from "../../units";
import { said, sayBy, sayWhole, type WordsOf } from "../../words";
import type { Problem } from "../problem";

/** What gives way so that a blank weighs what it shall: how large it is cut, or how thick it is rolled. */
export type Follows = "size" | "thickness";

/** Why a batch cannot be divided so. */
export type BatchFailure =
  | Failure<"noPieceToDivide", Plain>
  | Failure<"tooLittleDough", { readonly doughG: number; readonly eachG: number }>
  /** No size or thickness that can be made comes to the mass; the nearest that can is told. */
  | Failure<
      "massOutOfReach",
      { readonly follows: Follows; readonly wantedG: number; readonly nearestG: number }
    >
  /** So much of a layer leaves no room, or is more than there is a level for. */
  | Failure<"layerTooHeavy", { readonly filling: string; readonly wantedG: number; readonly mostG: number }>
  | Failure<"blanksNotCut", Plain>
  | Failure<"cannotBeMade", { readonly why: Problem }>;

const batchWords: WordsOf<BatchFailure> = {
  noPieceToDivide: () => said("Choose a piece with a dough and a filling."),
  tooLittleDough: ({ doughG, eachG }) =>
    said(
      `${formatMass(doughG)} of dough gives none of ${formatMass(eachG)}: ${formatMass(eachG - doughG)} short.`,
      "Take a larger batch or a smaller piece.",
    ),
  massOutOfReach: ({ follows, wantedG, nearestG }) =>
    said(
      `No ${follows === "size" ? "size" : "thickness that is rolled by hand"} comes to ${formatMass(wantedG)}: ` +
        `the nearest is ${formatMass(nearestG)}.`,
      `Divide it into ${nearestG < wantedG ? "more" : "fewer"}.`,
    ),
  layerTooHeavy: ({ filling, wantedG, mostG }) =>
    said(
      `${formatMass(wantedG)} of ${filling} is ${formatMass(wantedG - mostG)} more than lies under the filling.`,
      `Take ${formatMass(mostG)}, or divide the dough into more.`,
    ),
  blanksNotCut: () => said("Its blanks cannot be cut.", "Take a smaller piece, or larger sheets in Kit."),
  cannotBeMade: ({ why }) => why,
};

/** Why a batch cannot be divided so, and what would mend it. */
export const sayBatchFailure = (failure: BatchFailure): string => sayWhole(sayBy(batchWords, failure));
