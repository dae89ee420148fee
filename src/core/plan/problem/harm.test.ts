import fc from "fast-check";
import { gatherProblems } from "./harm";
import type { Problem, ProblemCode } from "./problem";

/** From the worst to what only wants tidying; one of each harm. */
const codes: readonly ProblemCode[] = ["cannotForm", "longWait", "late", "overfull", "spareLoad", "expired"];
const problem = (code: ProblemCode, message: string, stops = code === "cannotForm"): Problem => ({
  ...{ code, message, stops, remedy: "Do.", station: "mix", pieceId: null, aboutId: null, numbers: {} },
});
const problems = fc.array(
  fc.tuple(fc.nat(codes.length - 1), fc.nat(9)).map(([at, n]) => problem(codes[at]!, `${codes[at]} ${n}`)),
  { maxLength: 30 },
);

test("each is told once and none is left out, the most harmful first, and only many of a kind or the larder's as one", () => {
  fc.assert(
    fc.property(problems, (all) => {
      const groups = gatherProblems(all);
      const told = groups.flatMap((group) => group.problems.map(({ message }) => message));
      expect(told.toSorted()).toEqual([...new Set(all.map(({ message }) => message))].toSorted());
      const ranks = groups.map(({ code }) => codes.indexOf(code));
      expect(ranks).toEqual(ranks.toSorted((a, b) => a - b));
      for (const { code, problems: kind, isGathered } of groups) {
        expect(kind.every((each) => each.code === code)).toBe(true);
        expect(isGathered).toBe(code === "expired" || kind.length >= 3);
        if (!isGathered) expect(kind).toHaveLength(1);
      }
    }),
  );
});

test("what stops a piece stands above what is only late, whatever it is called", () => {
  const groups = gatherProblems([
    problem("late", "late"),
    problem("overfull", "stops", true),
    problem("longWait", "waits"),
  ]);
  expect(groups.map(({ problems: [first] }) => first.message)).toEqual(["stops", "waits", "late"]);
});
