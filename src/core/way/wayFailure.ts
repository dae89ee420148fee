import type { Failure, Plain } from "../result";
import type { StepKind } from "./step";

/** Why a way cannot be. */
export type WayFailure =
  /** `later` needs `earlier` before it. */
  | Failure<"tooEarly", { readonly later: StepKind; readonly earlier: StepKind }>
  /** Only straight after a heat; between two of them where it goes back into the heat at once. */
  | Failure<"noOpenDoor", { readonly step: StepKind; readonly isBetweenHeats: boolean }>
  /** The form asks for it, or every piece does. */
  | Failure<"missing", { readonly step: StepKind }>
  | Failure<"twice", { readonly step: StepKind; readonly times: number }>
  /** After it was set out nothing is done any more. */
  | Failure<"afterSetOut", { readonly step: StepKind }>
  | Failure<"weightsStayIn", Plain>
  | Failure<"bakedAndFried", Plain>
  | Failure<"wayTooLong", { readonly steps: number; readonly most: number }>;
