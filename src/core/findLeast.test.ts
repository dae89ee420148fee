import fc from "fast-check";
import { Budget } from "./budget";
import { findLeast } from "./findLeast";

/** Measures from a few values, so that many are equal, each with how much less is known of it. */
const figures = fc.array(fc.record({ measure: fc.nat(20), less: fc.nat(12) }), { maxLength: 120 });

test("the least of drafts are those of all finished, equal ones in the order given", () => {
  fc.assert(
    fc.property(figures, fc.integer({ min: 1, max: 12 }), (given, count) => {
      const drafts = given.map(({ measure, less }, value) => ({
        atLeast: measure - less,
        finish: () => ({ value, measure }),
      }));
      const all = given
        .map(({ measure }, value) => ({ value, measure }))
        .sort((a, b) => a.measure - b.measure || a.value - b.value);
      expect(findLeast(drafts, count)).toEqual(all.slice(0, count).map(({ value }) => value));
    }),
  );
});

test("what cannot be among them is never finished", () => {
  const finished: number[] = [];
  const drafts = Array.from({ length: 1000 }, (_, at) => ({
    atLeast: at,
    finish: () => {
      finished.push(at);
      return { value: at, measure: at + 5 };
    },
  }));
  expect(findLeast(drafts, 10)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  expect(Math.max(...finished)).toBeLessThan(20);
});

test("ended after any number of steps, the least of those finished by then: the most promising, one at least", () => {
  fc.assert(
    fc.property(figures, fc.integer({ min: 1, max: 12 }), fc.nat(130), (given, count, steps) => {
      const finished: number[] = [];
      const drafts = given.map(({ measure, less }, value) => ({
        atLeast: measure - less,
        finish: () => {
          finished.push(value);
          return { value, measure };
        },
      }));
      const budget = Budget.ofSteps(steps);
      const found = findLeast(drafts, count, budget);
      if (!budget.cutShort) return expect(found).toEqual(findLeast(drafts, count));
      expect(finished).toHaveLength(steps + 1);
      const least = finished.toSorted((a, b) => given[a]!.measure - given[b]!.measure || a - b);
      expect(found).toEqual(least.slice(0, count));
    }),
  );
});
