import type { Station } from "../../way";

/** What a problem is, whatever its words: problems are compared by this and by their piece. */
export type ProblemCode =
  // A piece cannot be made.
  | "noDough"
  | "noFilling"
  | "emptyFormula"
  | "noOven"
  | "ovenTooCold"
  | "cannotFry"
  | "cannotLoad"
  | "cannotForm"
  | "cannotCut"
  // It can, at a cost.
  | "formDoubt"
  | "overfull"
  | "narrowMargin"
  | "thinSheet"
  | "spareLoad"
  // What there is does not do.
  | "shortage"
  | "smallParts"
  | "endlessRest"
  | "expired"
  | "oldOil"
  | "noShelfRoom"
  | "freezerFull"
  | "kitFull"
  // The clock.
  | "pastPromise"
  | "late"
  | "longWait"
  | "pinOff"
  | "beforeOpening";

/** Something the baker has to decide. `stops` means that the piece cannot be made as described. */
export interface Problem {
  readonly code: ProblemCode;
  readonly station: Station;
  readonly pieceId: string | null;
  readonly stops: boolean;
  readonly message: string;
}
