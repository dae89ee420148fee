import type { Problem, ProblemCode } from "./problem";

/**
 * How much harm is done if nothing is decided, the worst first: food that spoils or hurts, promises that are not kept, pieces
 * that are lost, waste, and what only wants tidying. What stops a piece stands above all of them.
 */
const harms: Readonly<
  Record<"spoils" | "breaksPromise" | "losesPieces" | "wastes" | "tidies", readonly ProblemCode[]>
> = {
  spoils: ["longWait", "oldOil"],
  breaksPromise: [
    "pastPromise",
    "late",
    "shortage",
    "beforeOpening",
    "pinOff",
    "kitFull",
    "noShelfRoom",
    "freezerFull",
  ],
  losesPieces: [
    "overfull",
    "narrowMargin",
    "formDoubt",
    "thinSheet",
    "endlessRest",
    "cutUnfinished",
    "smallParts",
  ],
  wastes: ["spareLoad"],
  tidies: ["expired"],
};
const ranks = new Map(
  Object.values(harms).flatMap((codes, rank) => codes.map((code) => [code, rank + 1] as const)),
);
const rankOf = ({ code, stops }: Problem): number => (stops ? 0 : (ranks.get(code) ?? 1));

/** From so many of a kind on they are told as one. */
const GATHERED_FROM = 3;
/** These always: of the larder one line is enough, however little is in it. */
const alwaysGathered: readonly ProblemCode[] = ["expired"];

/** Problems that are told in one go. */
export interface ProblemGroup {
  readonly code: ProblemCode;
  readonly problems: readonly [Problem, ...Problem[]];
  /** As one line that opens; else each for itself. */
  readonly isGathered: boolean;
}

/** What has to be decided, each once, in order of harm, many of a kind as one. */
export function gatherProblems(problems: readonly Problem[]): ProblemGroup[] {
  const once = [...new Map(problems.map((problem) => [problem.message, problem])).values()];
  const sorted = once.toSorted((a, b) => rankOf(a) - rankOf(b));
  const byKind = new Map<string, Problem[]>();
  for (const problem of sorted) {
    const kind = `${problem.stops ? "stops " : ""}${problem.code}`;
    byKind.set(kind, [...(byKind.get(kind) ?? []), problem]);
  }
  return [...byKind.values()].flatMap((kind): ProblemGroup[] => {
    const [first, ...rest] = kind;
    if (!first) return [];
    const isGathered = alwaysGathered.includes(first.code) || kind.length >= GATHERED_FROM;
    return isGathered
      ? [{ code: first.code, problems: [first, ...rest], isGathered }]
      : kind.map((problem) => ({ code: problem.code, problems: [problem], isGathered }));
  });
}
