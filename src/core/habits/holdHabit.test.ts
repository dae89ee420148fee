import fc from "fast-check";
import { addToHoldLog, findHoldHabit, forecastLeaks, NO_PAST, type HoldLog, type LeakOutcome } from ".";
import { createRandom } from "../seededRandom";

const gather = (lots: readonly LeakOutcome[], onto: HoldLog = NO_PAST) =>
  lots.reduce((log, lot) => addToHoldLog(log, lot, 1), onto);
const plain = (leaked: number | null): LeakOutcome => ({
  pieceId: "moon",
  pieces: 100,
  leaked,
  craftLeakShare: 0.03,
  craftCauses: {},
});
const ratioOf = (lots: readonly LeakOutcome[]) => findHoldHabit(gather(lots)).oddsRatios.moon;

test("leaks whose causes nobody wrote down move their piece alone: a gamma rate's mean, by hand", () => {
  expect(findHoldHabit(gather([plain(null)]))).toEqual({ oddsRatios: {}, weights: {} });
  expect(ratioOf([plain(9)])).toBeCloseTo((9 + 3) / (3 + 3), 9);
  expect(ratioOf([plain(0), plain(0)])).toBeCloseTo(3 / 9, 9);
  expect(ratioOf(Array.from({ length: 50 }, () => plain(6)))).toBeCloseTo(303 / 153, 9);
});

const causeNames = ["margin", "wetness:wet", "plumpness"] as const;
const logOdds = (most: number) =>
  fc.integer({ min: -most * 100, max: most * 100 }).map((steps) => steps / 100);
const lots: fc.Arbitrary<LeakOutcome> = fc
  .record({
    pieceId: fc.constantFrom("moon", "purse"),
    pieces: fc.integer({ min: 1, max: 120 }),
    leakedShare: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
    craftLeakShare: fc.constantFrom(0, 0.01, 0.04, 0.3),
    craftCauses: fc.dictionary(fc.constantFrom(...causeNames), logOdds(2), { maxKeys: 3 }),
  })
  .map(({ leakedShare, ...lot }) => ({
    ...lot,
    leaked: leakedShare === null ? null : Math.round(leakedShare * lot.pieces),
  }));

/** The posterior's logarithm, lot by lot and from its definition; what is constant left out. */
function scorePlainly(
  log: readonly LeakOutcome[],
  ratios: Readonly<Record<string, number>>,
  weights: Readonly<Record<string, number>>,
): number {
  let sum = 0;
  for (const { pieceId, pieces, leaked, craftLeakShare, craftCauses } of log) {
    if (leaked === null) continue;
    const ratio = ratios[pieceId]!;
    const causes = Object.entries(craftCauses);
    if (causes.length === 0) {
      sum += leaked * Math.log(ratio) - pieces * craftLeakShare * ratio;
      continue;
    }
    const craft = Math.max(craftLeakShare, 1e-6);
    const odds = causes.reduce(
      (product, [cause, moved]) => product * Math.exp(moved) ** (weights[cause]! - 1),
      (craft / (1 - craft)) * ratio,
    );
    sum += leaked * Math.log(odds / (1 + odds)) + (pieces - leaked) * Math.log(1 / (1 + odds));
  }
  for (const ratio of Object.values(ratios)) sum += 3 * Math.log(ratio) - 3 * ratio;
  for (const weight of Object.values(weights)) sum -= (weight - 1) ** 2 / (2 * 0.5 ** 2);
  return sum;
}

test("no figure near those found is likelier, however the log looks; every weight keeps its cause's direction", () => {
  fc.assert(
    fc.property(fc.array(lots, { minLength: 1, maxLength: 30 }), (log) => {
      const { oddsRatios, weights } = findHoldHabit(gather(log));
      const best = scorePlainly(log, oddsRatios, weights);
      expect(Number.isFinite(best)).toBe(true);
      for (const by of [0.99, 1.01]) {
        for (const [id, ratio] of Object.entries(oddsRatios))
          expect(scorePlainly(log, { ...oddsRatios, [id]: ratio * by }, weights)).toBeLessThanOrEqual(
            best + 1e-9,
          );
        for (const [cause, weight] of Object.entries(weights)) {
          expect(weight).toBeGreaterThanOrEqual(0.1);
          if (weight * by < 0.1) continue;
          expect(scorePlainly(log, oddsRatios, { ...weights, [cause]: weight * by })).toBeLessThanOrEqual(
            best + 1e-9,
          );
        }
      }
    }),
  );
});

test("neither the order of lots nor where the log is cut matters, and a lot taken out leaves no trace", () => {
  fc.assert(
    fc.property(fc.array(lots, { maxLength: 25 }), lots, fc.nat(25), (log, stray, at) => {
      const whole = findHoldHabit(gather(log));
      const cut = gather(log.slice(0, at).toReversed(), gather(log.slice(at)));
      const visited = addToHoldLog(addToHoldLog(cut, stray, 1), stray, -1);
      expect(visited.holds.length).toBe(cut.holds.length);
      const other = findHoldHabit(visited);
      for (const [id, ratio] of Object.entries(whole.oddsRatios))
        expect(other.oddsRatios[id]).toBeCloseTo(ratio, 5);
      for (const [cause, weight] of Object.entries(whole.weights))
        expect(other.weights[cause]).toBeCloseTo(weight, 5);
    }),
  );
});

test("what two pieces share moves the cause, what one has alone moves the piece", () => {
  const of = (pieceId: string, leaked: number): LeakOutcome => ({
    pieceId,
    pieces: 400,
    leaked,
    craftLeakShare: 0.05,
    craftCauses: { "wetness:wet": 0.9 },
  });
  const shared = findHoldHabit(gather([of("moon", 44), of("purse", 44)]));
  const alone = findHoldHabit(gather([of("moon", 44), of("purse", 20)]));
  expect(shared.weights["wetness:wet"]).toBeGreaterThan(alone.weights["wetness:wet"]!);
  expect(alone.oddsRatios.moon).toBeGreaterThan(shared.oddsRatios.moon!);
  expect(alone.oddsRatios.moon! / alone.oddsRatios.purse!).toBeGreaterThan(1.5);
});

/** The next count of leaks by a baker whose true odds are known. */
function sample(random: () => number, pieces: number, share: number): number {
  let leaked = 0;
  for (let i = 0; i < pieces; i++) if (random() < share) leaked++;
  return leaked;
}

test("bakers whose hands are not the craft's: after forty lots the weights are nearer theirs than the craft's are", () => {
  let [before, after] = [0, 0];
  for (let seed = 1; seed <= 40; seed++) {
    const random = createRandom(seed);
    const truth = Object.fromEntries(causeNames.map((cause) => [cause, 0.3 + 1.4 * random()]));
    const log = Array.from({ length: 40 }, (): LeakOutcome => {
      const craftCauses = {
        margin: Math.round(random() * 200 - 100) / 100,
        "wetness:wet": random() < 0.5 ? 0.9 : 0,
        plumpness: Math.round(random() * 300 - 150) / 100,
      };
      const craft = Object.values(craftCauses).reduce((sum, each) => sum + each, -3.4);
      const real = Object.entries(craftCauses).reduce(
        (sum, [cause, moved]) => sum + (truth[cause]! - 1) * moved,
        craft,
      );
      const toShare = (odds: number) => 1 / (1 + Math.exp(-odds));
      const leaked = sample(random, 120, toShare(real));
      return { pieceId: "moon", pieces: 120, leaked, craftLeakShare: toShare(craft), craftCauses };
    });
    const { weights } = findHoldHabit(gather(log));
    for (const cause of causeNames) {
      before += (truth[cause]! - 1) ** 2;
      after += (weights[cause]! - truth[cause]!) ** 2;
    }
  }
  // Root mean square: of an even spread of 0.7 either way before, under half of it after.
  expect(Math.sqrt(before / 120)).toBeGreaterThan(0.35);
  expect(Math.sqrt(after / 120)).toBeLessThan(0.2);
});

test("more leaked than were made is refused", () => {
  const absurd = { pieceId: "moon", pieces: 5, leaked: 6, craftLeakShare: 0.1, craftCauses: { margin: 1 } };
  expect(() => findHoldHabit(gather([absurd]))).toThrow(RangeError);
});

test("a forecast of leaks is whole, in order and within the lot", () => {
  expect(forecastLeaks(48, 0.03)).toEqual({ likelyCount: 1, lowCount: 0, highCount: 4 });
  expect(forecastLeaks(5, 0.99).highCount).toBe(5);
  expect(forecastLeaks(0, 0.5)).toEqual({ likelyCount: 0, lowCount: 0, highCount: 0 });
});
