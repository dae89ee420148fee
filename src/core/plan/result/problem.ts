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
  | "cutUnfinished"
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

/** The figures of a problem by name, each with its unit in the name: `lateMin`, `shortG`. */
export type ProblemNumbers = Readonly<Record<string, number>>;

/** Something the baker has to decide. `stops` means that the piece cannot be made as described. */
export interface Problem {
  readonly code: ProblemCode;
  readonly station: Station;
  readonly pieceId: string | null;
  readonly stops: boolean;
  readonly numbers: ProblemNumbers;
  /** What is wrong and by how much. */
  readonly message: string;
  /** What to do about it; empty where an engine's own words in the message say it. */
  readonly remedy: string;
}

/** The whole of a problem in words. */
export const sayProblem = ({ message, remedy }: Pick<Problem, "message" | "remedy">): string =>
  remedy === "" ? message : `${message} ${remedy}`;

/** The figures of an engine's failure. */
export const listNumbers = (failure: object): ProblemNumbers =>
  Object.fromEntries(
    Object.entries(failure).filter((entry): entry is [string, number] => typeof entry[1] === "number"),
  );
