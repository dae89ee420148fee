import fc from "fast-check";
import { createRandom } from "../seededRandom";
import { EVEN_SQUARES, findFigureHabit, type FigurePrior, type Logged } from "./figureHabit";
import { computeStudentShare, findStudentReach } from "./studentT";

const prior: FigurePrior = { mean: 0, sd: 0.2, worthLots: 2, sdWorthLots: 4 };
const logOf = (values: readonly number[]): Logged[] =>
  values.map((value, i) => ({ value, lotsAgo: values.length - 1 - i }));

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

  test("with one degree it is Cauchy's, with two its closed form", () => {
    for (const reach of [0.1, 1, 3, 50]) {
      expect(computeStudentShare(1, reach)).toBeCloseTo((2 / Math.PI) * Math.atan(reach), 12);
      expect(computeStudentShare(2, reach)).toBeCloseTo(reach / Math.sqrt(2 + reach ** 2), 12);
    }
  });
});

test("with nothing logged it is the craft's, give or take what the craft says", () => {
  const { lots, mean, nextLow, nextHigh } = findFigureHabit(prior, []);
  expect([lots, mean]).toEqual([0, 0]);
  expect(nextHigh).toBeCloseTo(2.132 * 0.2 * Math.sqrt(1.5), 3);
  expect(nextLow).toBeCloseTo(-nextHigh, 12);
});

test("figures that agree with the craft move nothing; the range narrows with them", () => {
  const after = findFigureHabit(prior, logOf([0, 0, 0, 0, 0, 0]));
  expect(after.mean).toBeCloseTo(0, 12);
  expect(after.nextHigh).toBeLessThan(findFigureHabit(prior, []).nextHigh);
});

test("whatever is logged: finite, the order of lots of one day does not matter, and adding to all adds to all", () => {
  const values = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { maxLength: 25 });
  fc.assert(
    fc.property(values, fc.double({ min: -2, max: 2, noNaN: true }), (list, by) => {
      const sameDay = list.map((value) => ({ value, lotsAgo: 0 }));
      const one = findFigureHabit(prior, sameDay);
      for (const figure of Object.values(one)) expect(Number.isFinite(figure)).toBe(true);
      expect(one.low).toBeLessThanOrEqual(one.mean);
      expect(one.nextLow).toBeLessThanOrEqual(one.low);
      expect(findFigureHabit(prior, sameDay.toReversed()).mean).toBeCloseTo(one.mean, 9);
      const shifted = findFigureHabit(
        { ...prior, mean: by },
        sameDay.map((each) => ({ ...each, value: each.value + by })),
      );
      expect(shifted.mean).toBeCloseTo(one.mean + by, 8);
    }),
  );
});

test("one wild day moves no habit by more than a quarter of its range, however wild", () => {
  const random = createRandom(3);
  for (let baker = 0; baker < 100; baker++) {
    const values = Array.from({ length: 3 + (baker % 20) }, () => 0.15 + 0.15 * draw(random));
    const before = findFigureHabit(prior, logOf(values));
    for (const wild of [1, 2, 5, 50, -50]) {
      const after = findFigureHabit(prior, logOf([...values, wild]));
      expect(Math.abs(after.mean - before.mean)).toBeLessThanOrEqual((before.nextHigh - before.nextLow) / 4);
    }
  }
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
    return { truth, log: logOf(Array.from({ length: lots }, lot)), next: lot() };
  });
}

test("simulated bakers: nine in ten ranges hold nine times in ten, and what is learned is nearer the truth than the craft was", () => {
  const error = (bakers: ReturnType<typeof simulate>) =>
    Math.sqrt(
      bakers.reduce((sum, { truth, log }) => sum + (findFigureHabit(prior, log).mean - truth) ** 2, 0) /
        bakers.length,
    );
  const errors = [0, 3, 10, 30].map((lots) => error(simulate(500, lots, 7)));
  expect(errors).toEqual(errors.toSorted((a, b) => b - a));
  expect(errors[2]!).toBeLessThan(0.07);
  expect(errors[3]!).toBeLessThan(0.05);
  for (const lots of [3, 10, 30]) {
    const bakers = simulate(2000, lots, 11 + lots);
    const held = bakers.filter(({ log, next }) => {
      const { nextLow, nextHigh } = findFigureHabit(prior, log);
      return nextLow <= next && next <= nextHigh;
    }).length;
    expect([lots, held / bakers.length >= 0.87, held / bakers.length <= 0.93]).toEqual([lots, true, true]);
  }
  // Nobody is farther from the truth after thirty lots than the craft was, but for the noise that is left.
  for (const { truth, log } of simulate(500, 30, 5)) {
    const { mean, low, high } = findFigureHabit(prior, log);
    expect(Math.abs(mean - truth)).toBeLessThanOrEqual(Math.abs(truth) + 2 * (high - low));
  }
});

test("a lot of long ago weighs less: hands that have changed are followed", () => {
  const changed = logOf([...Array.from({ length: 30 }, () => 0.4), ...Array.from({ length: 15 }, () => 0)]);
  const { mean } = findFigureHabit(prior, changed);
  expect(mean).toBeLessThan(0.2);
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
