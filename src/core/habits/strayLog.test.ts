import { createRandom } from "../seededRandom";
import { LEAST_STRAYED, toStrayLog } from "./strayLog";

/** Even numbers as normal ones. @see Box and Muller, 1958. */
function createNormal(seed: number): () => number {
  const random = createRandom(seed);
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

test.each([3, 4, 6, 20])("of %d figures the mean of many lots is what they really stray", (count) => {
  const normal = createNormal(count);
  const stray = 0.06;
  const lots = 4000;
  const told = Array.from({ length: lots }, () =>
    toStrayLog(Array.from({ length: count }, () => 24 * (1 + stray * normal())))!,
  );
  const mean = told.reduce((sum, each) => sum + each, 0) / lots;
  // The logarithm of one deviation of three figures strays by 0.64, so its mean of 4,000 by a hundredth.
  expect(Math.abs(mean - Math.log(stray))).toBeLessThan(0.035);
});

test("of two nothing is told; figures all alike were read too coarsely; the unit does not matter", () => {
  expect(toStrayLog([24, 25])).toBeNull();
  expect(LEAST_STRAYED).toBe(3);
  const alike = toStrayLog([24, 24, 24, 24])!;
  expect(Number.isFinite(alike)).toBe(true);
  expect(alike).toBeLessThan(Math.log(0.01));
  expect(toStrayLog([2.1, 2.4, 2.7])).toBeCloseTo(toStrayLog([21, 24, 27])!, 12);
  expect(() => toStrayLog([24, 0, 24])).toThrow("figure");
});

test("at few figures it is the closed form: the digamma of whole and half numbers is known", () => {
  const gamma = 0.577_215_664_901_532_9;
  // ψ(1) = −γ, ψ(2) = 1 − γ, ψ(3/2) = 2 − γ − 2 ln 2.
  const bias: readonly (readonly [number, number])[] = [
    [3, -gamma - Math.log(1)],
    [5, 1 - gamma - Math.log(2)],
    [4, 2 - gamma - 2 * Math.log(2) - Math.log(1.5)],
  ];
  for (const [count, of] of bias) {
    const figures = Array.from({ length: count }, (_, i) => 20 + i);
    const mean = figures.reduce((sum, each) => sum + each, 0) / count;
    const square = figures.reduce((sum, each) => sum + (each / mean - 1) ** 2, 0) / (count - 1);
    expect(toStrayLog(figures)).toBeCloseTo(Math.log(Math.sqrt(square)) - of / 2, 9);
  }
});
