import fc from "fast-check";
import {
  findHoldHabit,
  findPaceHabit,
  findYieldHabit,
  forecastCount,
  gatherHolds,
  knowByCraft,
  knowHabit,
  learnDays,
  NO_PAST,
  readHabitId,
  takeOutLeaks,
  toShareLog,
  type CutOutcome,
  type HabitId,
  type LotOutcome,
  type PastLog,
} from ".";

const lots: fc.Arbitrary<LotOutcome> = fc.record({
  pieces: fc.integer({ min: 1, max: 200 }),
  fill: fc.constant(null),
  close: fc.constant(null),
  leaked: fc.option(fc.integer({ min: 0, max: 9 })),
  craftLeakShare: fc.double({ min: 0, max: 0.2, noNaN: true }),
  craftCauses: fc.constant({}),
});
const ofMoon = (log: readonly LotOutcome[]) => log.map((lot) => ({ ...lot, pieceId: "moon" }));
const lot = (minutes: number, style = "rope"): LotOutcome => ({
  ...{ pieces: 20, fill: null, leaked: null, craftLeakShare: 0, craftCauses: {} },
  close: { style, minutes, craftMinutes: 10 },
});
const pace = (log: readonly LotOutcome[], past: PastLog = NO_PAST) =>
  findPaceHabit(past, "close", "rope", log);
/** What is known after sixty days of the same figure. */
const again = (value: number, id: HabitId = "hands:close:rope") =>
  learnDays(
    knowByCraft(id),
    Array.from({ length: 60 }, () => [value]),
  );
const yieldOf = (log: readonly CutOutcome[]) => findYieldHabit(NO_PAST, "crust", log);

test("leaks split anywhere, the first part in the log, give the habit of the whole; what is taken out leaves the rest", () => {
  fc.assert(
    fc.property(fc.array(lots, { minLength: 1, maxLength: 40 }), fc.nat({ max: 40 }), (log, at) => {
      const past = { ...NO_PAST, ...gatherHolds(NO_PAST, ofMoon(log.slice(0, at))) };
      const split = findHoldHabit(gatherHolds(past, ofMoon(log.slice(at))));
      const whole = findHoldHabit(gatherHolds(NO_PAST, ofMoon(log)));
      for (const [id, ratio] of Object.entries(whole.oddsRatios))
        expect(split.oddsRatios[id]).toBeCloseTo(ratio, 7);
      const left = takeOutLeaks(
        { ...NO_PAST, ...gatherHolds(NO_PAST, ofMoon(log)) },
        ofMoon(log.slice(0, 1)),
      );
      const rest = gatherHolds(NO_PAST, ofMoon(log.slice(1)));
      expect(left.leaks.moon?.lots ?? 0).toBe(rest.leaks.moon?.lots ?? 0);
      expect(left.leaks.moon?.expected ?? 0).toBeCloseTo(rest.leaks.moon?.expected ?? 0, 9);
    }),
  );
});

test("a hand's pace starts at the craft's and comes to the log's; another style's log does not touch it", () => {
  expect(pace([])).toMatchObject({ lots: 0, ratio: 1 });
  const [one, many] = [
    pace([lot(15)]),
    pace([], { ...NO_PAST, habits: { "hands:close:rope": again(Math.log(1.5)) } }),
  ];
  expect(one.ratio).toBeGreaterThan(1);
  expect(one.ratio).toBeLessThan(many.ratio);
  expect(many.ratio).toBeCloseTo(1.5, 1);
  expect(many.spreadFactor).toBeLessThan(pace([]).spreadFactor);
  expect(pace([lot(90, "forked")])).toEqual(pace([]));
  expect(() => pace([lot(0)])).toThrow(RangeError);
});

test("what is past counts with what is of today", () => {
  const known = knowHabit(NO_PAST, "hands:close:rope", [Math.log(1.5), Math.log(1.5)]);
  const past: PastLog = { ...NO_PAST, habits: { "hands:close:rope": known } };
  expect(pace([], past)).toMatchObject({ lots: 2, ratio: Math.exp(known.mean) });
  expect(pace([lot(15)], past).lots).toBe(3);
  expect(pace([lot(15)], past).ratio).toBeGreaterThan(pace([], past).ratio);
});

test("without a log the craft's yield stands and a forecast is what was reckoned", () => {
  const habit = yieldOf([]);
  expect(habit).toMatchObject({ rollings: 0, share: 1 });
  // 3 % of one rolling, the mean known as if from four: 0.03 · √(1 + ¼).
  expect(habit.spread).toBeCloseTo(0.03 * Math.sqrt(1.25), 12);
  const reckoned = { count: 40, lowCount: 37, highCount: 42 };
  expect(forecastCount(reckoned, habit)).toEqual({ likelyCount: 40, lowCount: 37, highCount: 42 });
});

test("the yield lies between the craft's and the log's, and comes to the log as it grows", () => {
  const outcomes = fc.array(
    fc
      .integer({ min: 10, max: 90 })
      .chain((planned) =>
        fc.record({ planned: fc.constant(planned), got: fc.integer({ min: planned - 8, max: planned + 2 }) }),
      ),
    { maxLength: 30 },
  );
  fc.assert(
    fc.property(outcomes, (log) => {
      const { share, spread } = yieldOf(log);
      const shares = [1, ...log.map(({ planned, got }) => Math.exp(toShareLog(got, planned)))];
      expect(share).toBeGreaterThanOrEqual(Math.min(...shares) - 1e-12);
      expect(share).toBeLessThanOrEqual(Math.max(...shares) + 1e-12);
      expect(spread).toBeGreaterThan(0);
      expect(yieldOf(log.toReversed()).share).toBeCloseTo(share, 9);
    }),
  );
  const short = { planned: 50, got: 45 };
  const always = findYieldHabit(
    { ...NO_PAST, habits: { "blanks:crust": again(toShareLog(45, 50), "blanks:crust") } },
    "crust",
    [],
  );
  expect(yieldOf([short]).share).toBeGreaterThan(0.97);
  expect(always.share).toBeCloseTo(0.901, 2);
  expect(always.spread).toBeLessThan(yieldOf([short]).spread);
  expect(() => yieldOf([{ planned: 0, got: 0 }])).toThrow(RangeError);
  expect(() => yieldOf([{ planned: 4, got: 2.5 }])).toThrow(RangeError);
  // None at all is a figure too.
  expect(yieldOf([{ planned: 40, got: 0 }]).share).toBeGreaterThan(0);
});

test("a log that falls short lowers the forecast and widens it", () => {
  const days = Array.from({ length: 6 }, (_, i) => [toShareLog(i % 2 ? 37 : 38, 40)]);
  const past = { ...NO_PAST, habits: { "blanks:crust": learnDays(knowByCraft("blanks:crust"), days) } };
  const habit = findYieldHabit(past, "crust", []);
  const forecast = forecastCount({ count: 40, lowCount: 38, highCount: 41 }, habit);
  expect(forecast.likelyCount).toBe(38);
  expect(forecast.lowCount).toBeLessThan(37);
  expect(forecast.highCount).toBeGreaterThanOrEqual(40);
});

test("a habit's id names its kind and whose it is", () => {
  expect(readHabitId("hands:fill:spoon")).toEqual({ kind: "hands", key: "fill:spoon" });
  expect(["hands:", "luck:moon", ":x", "hands", ""].map(readHabitId)).toEqual([null, null, null, null, null]);
  expect(knowByCraft("blanks:crust")).toMatchObject({ lots: 0, mean: 0, worthLots: 4 });
  expect(() => knowByCraft("luck:moon" as HabitId)).toThrow(RangeError);
});
