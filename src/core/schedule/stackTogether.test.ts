import fc from "fast-check";
import { stackTogether } from ".";

const spans = fc.array(
  fc
    .tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 90 }))
    .map(([startMin, minutes]) => ({ startMin, endMin: startMin + minutes })),
  { maxLength: 25 },
);
type Span = { readonly startMin: number; readonly endMin: number };
const meet = (one: Span, other: Span) => one.startMin < other.endMin && other.startMin < one.endMin;

test("no two of a level are there at once, and there are as many levels as are ever there together", () => {
  fc.assert(
    fc.property(spans, (all) => {
      const stacked = stackTogether(all, (span) => span);
      expect(stacked.map(({ value }) => value).toSorted(byStart)).toEqual(all.toSorted(byStart));
      for (const [i, one] of stacked.entries()) {
        expect(one.level).toBeLessThan(one.levels);
        for (const other of stacked.slice(i + 1))
          if (meet(one.value, other.value)) {
            expect(other.level).not.toBe(one.level);
            // Drawn side by side, they share one height.
            expect(other.levels).toBe(one.levels);
          }
      }
      // Counted minute by minute.
      const most = Math.max(
        0,
        ...Array.from(
          { length: 400 },
          (_, minute) => all.filter(({ startMin, endMin }) => startMin <= minute && minute < endMin).length,
        ),
      );
      expect(Math.max(0, ...stacked.map(({ levels }) => levels))).toBe(most);
    }),
  );
});

const byStart = (a: Span, b: Span) => a.startMin - b.startMin || a.endMin - b.endMin;

test("what ends as another begins leaves its level to it; what is alone has the whole height", () => {
  const all = [
    { name: "a", startMin: 0, endMin: 30 },
    { name: "b", startMin: 10, endMin: 50 },
    { name: "c", startMin: 30, endMin: 60 },
    { name: "alone", startMin: 60, endMin: 70 },
  ];
  const stacked = stackTogether(all, (each) => each);
  expect(stacked.map(({ value, level, levels }) => [value.name, level, levels])).toEqual([
    ["a", 0, 2],
    ["b", 1, 2],
    ["c", 0, 2],
    ["alone", 0, 1],
  ]);
  expect(stackTogether([], () => ({ startMin: 0, endMin: 1 }))).toEqual([]);
});
