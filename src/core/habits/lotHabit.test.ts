import { findPaceHabit, sumPaces } from ".";

const rope = (minutes: number) => ({ style: "rope", minutes, craftMinutes: 10 });

test("a hand's pace starts at the craft's and comes to the log's; another style's log does not touch it", () => {
  expect(findPaceHabit(sumPaces([], "rope")).ratio).toBe(1);
  expect(findPaceHabit(sumPaces([rope(20), { ...rope(90), style: "forked" }], "rope")).ratio).toBeCloseTo(
    2 ** (1 / 3),
    12,
  );
  const slow = findPaceHabit(
    sumPaces(
      Array.from({ length: 60 }, () => rope(15)),
      "rope",
    ),
  );
  expect(slow.ratio).toBeCloseTo(1.5, 1);
  expect(slow.spreadFactor).toBeLessThan(findPaceHabit(sumPaces([], "rope")).spreadFactor);
  expect(() => sumPaces([rope(0)], "rope")).toThrow(RangeError);
});
