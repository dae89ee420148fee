import fc from "fast-check";
import { findYieldHabit, forecastCount, sumYields } from ".";

const outcomes = fc.array(
  fc
    .integer({ min: 10, max: 90 })
    .chain((planned) =>
      fc.record({ planned: fc.constant(planned), got: fc.integer({ min: planned - 8, max: planned + 2 }) }),
    ),
  { maxLength: 30 },
);

test("without a log the craft's prior stands and a forecast is what was reckoned", () => {
  const habit = findYieldHabit(sumYields([]));
  expect(habit).toMatchObject({ rollings: 0, share: 1 });
  // 3 % of one rolling, the mean known as if from four: 0.03 · √(1 + ¼).
  expect(habit.spread).toBeCloseTo(0.03 * Math.sqrt(1.25), 12);
  expect(forecastCount({ count: 40, lowCount: 37, highCount: 42 }, habit)).toEqual({
    likelyCount: 40,
    lowCount: 37,
    highCount: 42,
  });
});

test("the habit lies between the prior and the log's mean, and comes to the log as it grows", () => {
  fc.assert(
    fc.property(outcomes, (log) => {
      const { share, spread } = findYieldHabit(sumYields(log));
      const mean = log.reduce((sum, { planned, got }) => sum + got / planned, 0) / Math.max(log.length, 1);
      const [low, high] = log.length === 0 ? [1, 1] : [Math.min(1, mean), Math.max(1, mean)];
      expect(share).toBeGreaterThanOrEqual(low - 1e-12);
      expect(share).toBeLessThanOrEqual(high + 1e-12);
      expect(spread).toBeGreaterThan(0);
    }),
  );
  const always = (n: number) =>
    findYieldHabit(sumYields(Array.from({ length: n }, () => ({ planned: 50, got: 45 }))));
  expect(always(1).share).toBeCloseTo(0.98, 12);
  expect(always(400).share).toBeCloseTo(0.901, 3);
  expect(always(400).spread).toBeLessThan(always(1).spread);
});

test("a log that falls short lowers the forecast and widens it", () => {
  const habit = findYieldHabit(
    sumYields(Array.from({ length: 6 }, (_, i) => ({ planned: 40, got: i % 2 ? 37 : 38 }))),
  );
  const forecast = forecastCount({ count: 40, lowCount: 38, highCount: 41 }, habit);
  expect(forecast.likelyCount).toBe(38);
  expect(forecast.lowCount).toBeLessThan(37);
  expect(forecast.highCount).toBeGreaterThanOrEqual(40);
});

test("halves and nothings are refused", () => {
  expect(() => sumYields([{ planned: 0, got: 0 }])).toThrow(RangeError);
  expect(() => sumYields([{ planned: 4, got: 2.5 }])).toThrow(RangeError);
});
