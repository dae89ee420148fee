import { findLeakHabit, findPaceHabit, forecastLeaks, sumLeaks, sumPaces } from ".";

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

const lot = (leaked: number | null) => ({ pieces: 100, leaked, craftLeakShare: 0.03 });

test("leaks counted move the odds, lots that nobody counted do not", () => {
  expect(findLeakHabit(sumLeaks([lot(null)]))).toEqual({ lots: 0, oddsRatio: 1 });
  expect(findLeakHabit(sumLeaks([lot(9)])).oddsRatio).toBeCloseTo(2, 12);
  expect(findLeakHabit(sumLeaks([lot(0), lot(0)])).oddsRatio).toBeCloseTo(1 / 3, 12);
  const many = Array.from({ length: 50 }, () => lot(6));
  expect(findLeakHabit(sumLeaks(many)).oddsRatio).toBeCloseTo(2, 1);
});

test("a forecast of leaks is whole, in order and within the lot", () => {
  expect(forecastLeaks(48, 0.03)).toEqual({ likelyCount: 1, lowCount: 0, highCount: 4 });
  expect(forecastLeaks(5, 0.99).highCount).toBe(5);
  expect(forecastLeaks(0, 0.5)).toEqual({ likelyCount: 0, lowCount: 0, highCount: 0 });
});
