import fc from "fast-check";
import { createRandom } from "../seededRandom";
import {
  EVEN_SQUARES,
  learnDay,
  learnDays,
  learnLog,
  MOST_MOVED_SHARE,
  tellFigure,
  type FigurePrior,
} from "./figureHabit";
import { computeStudentShare, findStudentReach } from "./studentT";

const prior: FigurePrior = { mean: 0, sd: 0.2, worthLots: 2, sdWorthLots: 4 };
/** What is known after days of so many lots each. */
const tell = (values: readonly number[], perDay = 1) => tellFigure(learnDays(prior, toDays(values, perDay)));
const toDays = (values: readonly number[], perDay: number): number[][] =>
  Array.from({ length: values.length / perDay }, (_, i) => values.slice(i * perDay, (i + 1) * perDay));

describe("Student's t", () => {
  // Published two-sided 90 % points, e.g. in Gelman's appendix and every table of the t.
  test.each([
    [1, 6.314],
    [2, 2.92],
    [4, 2.132],
    [9, 1.833],
    [30, 1.697],
    [1000, 1.646],
  ])("of %p degrees nine in ten lie within %p", (degrees, reach) => {
    expect(findStudentReach(degrees, 0.9)).toBeCloseTo(reach, 3);
  });

  test("the reach is where the share is, for any degrees and share", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.7, max: 1e4, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (degrees, share) => {
          expect(computeStudentShare(degrees, findStudentReach(degrees, share))).toBeCloseTo(share, 9);
        },
      ),
    );
  });

  test("with one degree it is Cauchy's, with two its closed form", () => {
    for (const reach of [0.1, 1, 3, 50]) {
      expect(computeStudentShare(1, reach)).toBeCloseTo((2 / Math.PI) * Math.atan(reach), 12);
      expect(computeStudentShare(2, reach)).toBeCloseTo(reach / Math.sqrt(2 + reach ** 2), 12);
    }
  });
});

test("with nothing logged it is the craft's, give or take what the craft says", () => {
  const { lots, mean, nextLow, nextHigh } = tell([]);
  expect([lots, mean]).toEqual([0, 0]);
  expect(nextHigh).toBeCloseTo(2.132 * 0.2 * Math.sqrt(1.5), 3);
  expect(nextLow).toBeCloseTo(-nextHigh, 12);
});

test("figures that agree with the craft move nothing; the range narrows with them", () => {
  const after = tell([0, 0, 0, 0, 0, 0]);
  expect(after.mean).toBeCloseTo(0, 12);
  expect(after.nextHigh).toBeLessThan(tell([]).nextHigh);
});

test("whatever is logged: finite, the order of lots of one day does not matter, and adding to all adds to all", () => {
  const values = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { maxLength: 25 });
  fc.assert(
    fc.property(values, fc.double({ min: -2, max: 2, noNaN: true }), (list, by) => {
      const one = tellFigure(learnDays(prior, [list]));
      for (const figure of Object.values(one)) expect(Number.isFinite(figure)).toBe(true);
      expect(one.low).toBeLessThanOrEqual(one.mean);
      expect(one.nextLow).toBeLessThanOrEqual(one.low);
      const backwards = tellFigure(learnDays(prior, [list.toReversed()]));
      expect(backwards.mean).toBeCloseTo(one.mean, 9);
      expect(backwards.nextHigh).toBeCloseTo(one.nextHigh, 9);
      const shifted = learnDays({ ...prior, mean: by }, [list.map((value) => value + by)]);
      expect(shifted.mean).toBeCloseTo(one.mean + by, 8);
    }),
  );
});

test("one wild day moves no habit by more than a quarter of its range, however wild", () => {
  const random = createRandom(3);
  for (let baker = 0; baker < 100; baker++) {
    const perDay = 1 + (baker % 4);
    const values = Array.from({ length: perDay * (baker % 20) }, () => 0.15 + 0.15 * draw(random));
    const before = learnDays(prior, toDays(values, perDay));
    const { low, high } = tellFigure(before);
    for (const wild of [0.3, 1, 2, 5, 50, -50])
      for (const lots of [1, perDay, 12]) {
        const after = learnDay(
          prior,
          before,
          Array.from({ length: lots }, () => wild),
        );
        expect(Math.abs(after.mean - before.mean)).toBeLessThanOrEqual(
          MOST_MOVED_SHARE * (high - low) + 1e-12,
        );
        // Nor does its range open so far as to take the wild ones for a habit.
        expect(after.sd).toBeLessThan(6 * before.sd);
      }
  }
});

test("a log is learned day by day, whatever the order of its rows; a figure that is none is refused", () => {
  const log = [
    { date: "2026-11-21", value: 0.3 },
    { date: "2026-11-14", value: 0.1 },
    { date: "2026-11-21", value: 0.2 },
  ];
  const known = learnDays(prior, [[0.1], [0.3, 0.2]]);
  expect(learnLog(prior, log)).toEqual(known);
  expect(learnLog(prior, log.toReversed()).mean).toBeCloseTo(known.mean, 12);
  expect(known).toMatchObject({ lots: 3, widened: 1 });
  expect(() => learnDays(prior, [[NaN]])).toThrow(RangeError);
});

test("a lot in the middle of what is known is the conjugate update, by hand", () => {
  // At the middle its weight is 5/4: what the t gives a figure that does not stray.
  const { mean, worthLots, sdWorthLots, sd } = learnDays(prior, [[0]]);
  expect([mean, worthLots, sdWorthLots]).toEqual([0, 3.25, 5.25]);
  expect(sd).toBeCloseTo(Math.sqrt((4 * 0.2 ** 2) / 5.25), 12);
});

test("what is known fades to the craft's worth and no further", () => {
  let known = learnDays(
    prior,
    Array.from({ length: 400 }, () => [0.1]),
  );
  // Steady: each lot adds 5/4 at most, and a half-life of 20 lots takes 3.4 % of what stands over the craft's.
  expect(known.worthLots).toBeCloseTo(prior.worthLots + 1.25 / (1 - 2 ** (-1 / 20)), 2);
  for (let day = 0; day < 50; day++)
    known = learnDay(
      prior,
      known,
      Array.from({ length: 30 }, () => 40),
    );
  expect(known.worthLots).toBeGreaterThanOrEqual(prior.worthLots);
});

/** A normal number by two even ones. */
const draw = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Bakers whose hands are their own: a hidden middle and stray each, other than the craft's, and now and then a mishap. */
function simulate(bakers: number, lots: number, seed: number) {
  const random = createRandom(seed);
  return Array.from({ length: bakers }, () => {
    const truth = 0.14 * draw(random);
    const stray = 0.2 * Math.exp(0.25 * draw(random));
    const lot = () => truth + stray * draw(random) + (random() < 0.02 ? 1 : 0);
    return { truth, log: Array.from({ length: lots }, lot), next: lot() };
  });
}

test("simulated bakers: nine in ten ranges hold nine times in ten, and what is learned is nearer the truth than the craft was", () => {
  const error = (bakers: ReturnType<typeof simulate>) =>
    Math.sqrt(bakers.reduce((sum, { truth, log }) => sum + (tell(log).mean - truth) ** 2, 0) / bakers.length);
  const errors = [0, 3, 10, 30].map((lots) => error(simulate(500, lots, 7)));
  expect(errors).toEqual(errors.toSorted((a, b) => b - a));
  expect(errors[2]!).toBeLessThan(0.07);
  expect(errors[3]!).toBeLessThan(0.05);
  for (const [days, perDay] of [
    [3, 1],
    [10, 1],
    [30, 1],
    [3, 3],
    [10, 3],
  ] as const) {
    const bakers = simulate(2000, days * perDay, 11 + days);
    const held = bakers.filter(({ log, next }) => {
      const { nextLow, nextHigh } = tell(log, perDay);
      return nextLow <= next && next <= nextHigh;
    }).length;
    const share = held / bakers.length;
    expect([days, perDay, share >= 0.87, share <= 0.93]).toEqual([days, perDay, true, true]);
  }
  // Nobody is farther from the truth after thirty lots than the craft was, but for the noise that is left.
  for (const { truth, log } of simulate(500, 30, 5)) {
    const { mean, low, high } = tell(log);
    expect(Math.abs(mean - truth)).toBeLessThanOrEqual(Math.abs(truth) + 2 * (high - low));
  }
});

test("a lot of long ago weighs less: hands that have changed are followed", () => {
  const after = (lots: number) =>
    tell([...Array.from({ length: 30 }, () => 0.4), ...Array.from({ length: lots }, () => 0)]).mean;
  expect(after(0)).toBeGreaterThan(0.36);
  expect(after(15)).toBeLessThan(0.3);
  expect(after(40)).toBeLessThan(0.1);
});

test("the correction for even strays is what the weights take off their squares", () => {
  const steps = 20_001;
  let [squares, weights] = [0, 0];
  for (let i = 0; i < steps; i++) {
    const z = -10 + (20 * i) / (steps - 1);
    const weight = (Math.exp(-(z ** 2) / 2) * 5) / (4 + z ** 2);
    squares += weight * z ** 2;
    weights += weight;
  }
  expect(EVEN_SQUARES).toBeCloseTo(weights / squares, 4);
});
