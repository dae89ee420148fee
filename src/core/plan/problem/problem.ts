import type { Failure } from "../../result";
import type { Station } from "../../way";
import { sayWhole, type Said } from "../../words";
import type { ProblemFailure } from "./problemFailure";
import { tellProblem } from "./problemWords";

/** What a problem is, whatever its words: problems are compared by this and by their piece. */
export type ProblemCode = ProblemFailure["code"];

/** The figures of a problem by name, each with its unit in the name: `lateMin`, `shortG`. */
export type ProblemNumbers = Readonly<Record<string, number>>;

/** Something the baker has to decide. `stops` means that the piece cannot be made as described. */
export interface Problem extends Said {
  readonly code: ProblemCode;
  readonly station: Station;
  readonly pieceId: string | null;
  readonly stops: boolean;
  /** The record or the job that it is about beside its piece: an order, a formula, a fryer, a pinned job. */
  readonly aboutId: string | null;
  readonly numbers: ProblemNumbers;
}

/** A failure as something to decide: where, of which piece, and whether it stops it. */
export function toProblem(
  failure: ProblemFailure,
  {
    station,
    pieceId = null,
    stops = false,
    aboutId = null,
  }: Pick<Problem, "station"> & Partial<Pick<Problem, "pieceId" | "stops" | "aboutId">>,
): Problem {
  const numbers = listNumbers(failure.figures);
  return { code: failure.code, station, pieceId, stops, aboutId, numbers, ...tellProblem(failure) };
}

/** The whole of a problem in words. */
export const sayProblem = sayWhole;

/** The figures of a failure, and of what it comes from. */
const listNumbers = (figures: object): ProblemNumbers =>
  Object.fromEntries(
    Object.entries(figures).flatMap(([name, value]: [string, unknown]): [string, number][] =>
      typeof value === "number"
        ? [[name, value]]
        : name === "why"
          ? Object.entries(listNumbers((value as Failure).figures))
          : [],
    ),
  );
