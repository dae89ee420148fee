import fc from "fast-check";
import {
  findHoldHabit,
  findPaceHabit,
  findYieldHabit,
  gatherHolds,
  gatherPaces,
  gatherYields,
  NO_PAST,
  sumPaces,
  sumYields,
  takeOutOfLog,
  toPaceKey,
  type LotOutcome,
} from ".";

const lots: fc.Arbitrary<LotOutcome> = fc.record({
  pieces: fc.integer({ min: 1, max: 200 }),
  fill: fc.option(
    fc.record({
      style: fc.constantFrom("spoon", "bag"),
      minutes: fc.double({ min: 0.5, max: 90, noNaN: true }),
      craftMinutes: fc.double({ min: 0.5, max: 90, noNaN: true }),
    }),
  ),
  close: fc.constant(null),
  leaked: fc.option(fc.integer({ min: 0, max: 9 })),
  craftLeakShare: fc.double({ min: 0, max: 0.2, noNaN: true }),
  craftCauses: fc.constant({}),
});
const ofMoon = (log: readonly LotOutcome[]) => log.map((lot) => ({ ...lot, pieceId: "moon" }));

test("a log split anywhere, the first part as sums, gives the habits of the whole", () => {
  fc.assert(
    fc.property(fc.array(lots, { maxLength: 40 }), fc.nat({ max: 40 }), (log, at) => {
      const [before, since] = [log.slice(0, at), log.slice(at)];
      const past = {
        ...NO_PAST,
        ...gatherHolds(NO_PAST, ofMoon(before)),
        paces: {
          [toPaceKey("fill", "bag")]: sumPaces(
            before.flatMap(({ fill }) => fill ?? []),
            "bag",
          ),
        },
      };
      const [split, whole] = [
        [
          findHoldHabit(gatherHolds(past, ofMoon(since))),
          findPaceHabit(gatherPaces(past, "fill", "bag", since)),
        ],
        [
          findHoldHabit(gatherHolds(NO_PAST, ofMoon(log))),
          findPaceHabit(gatherPaces(NO_PAST, "fill", "bag", log)),
        ],
      ] as const;
      for (const [id, ratio] of Object.entries(whole[0].oddsRatios))
        expect(split[0].oddsRatios[id]).toBeCloseTo(ratio, 7);
      expect(split[1].ratio).toBeCloseTo(whole[1].ratio, 12);
      expect(split[1].spreadFactor).toBeCloseTo(whole[1].spreadFactor, 10);
    }),
  );
});

test("sums give the spread that the records themselves give, by the definition", () => {
  const outcomes = Array.from({ length: 200 }, (_, i) => ({ planned: 40 + (i % 7), got: 36 + (i % 5) }));
  const shares = outcomes.map(({ planned, got }) => got / planned);
  const share = (4 + shares.reduce((sum, each) => sum + each, 0)) / 204;
  const squares = shares.reduce((sum, each) => sum + (each - share) ** 2, 0);
  const variance = (4 * (0.03 ** 2 + (1 - share) ** 2) + squares) / 204;
  const habit = findYieldHabit(gatherYields(NO_PAST, "crust", outcomes));
  expect(habit.share).toBeCloseTo(share, 13);
  expect(habit.spread).toBeCloseTo(Math.sqrt(variance * (1 + 1 / 204)), 12);
  const doubled = gatherYields({ ...NO_PAST, yields: { crust: sumYields(outcomes) } }, "crust", outcomes);
  expect(doubled.rollings).toBe(400);
});

test("what is taken out of the sums leaves those of the rest", () => {
  fc.assert(
    fc.property(fc.array(lots, { minLength: 1, maxLength: 30 }), (log) => {
      const of = (some: readonly LotOutcome[]) => ({
        ...NO_PAST,
        ...gatherHolds(NO_PAST, ofMoon(some)),
        paces: {
          [toPaceKey("fill", "bag")]: sumPaces(
            some.flatMap(({ fill }) => fill ?? []),
            "bag",
          ),
        },
        yields: { crust: sumYields(some.map(({ pieces }) => ({ planned: pieces, got: pieces - 1 }))) },
      });
      const [taken] = log;
      const rolling = { doughId: "crust", planned: taken!.pieces, got: taken!.pieces - 1 };
      const left = takeOutOfLog(of(log), [rolling], [{ ...taken!, pieceId: "moon" }]);
      const rest = of(log.slice(1));
      expect(left.leaks.moon?.lots ?? 0).toBe(rest.leaks.moon?.lots ?? 0);
      expect(left.leaks.moon?.expected ?? 0).toBeCloseTo(rest.leaks.moon?.expected ?? 0, 9);
      expect(left.yields.crust!.shareSquares).toBeCloseTo(rest.yields.crust!.shareSquares, 9);
      expect(left.paces["fill:bag"]!.log).toBeCloseTo(rest.paces["fill:bag"]!.log, 9);
    }),
  );
});
