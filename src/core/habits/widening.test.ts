import { createRandom } from "../seededRandom";
import { countHeld, findWidening, type KeptForecast } from "./widening";

const random = createRandom(9);
const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
/** Forecasts whose ranges are reckoned so many times too narrow and told so much wider. */
const forecasts = (count: number, tooNarrow: number, widened = 1): KeptForecast[] =>
  Array.from({ length: count }, () => {
    const [mean, half] = [normal(), (1.645 * widened) / tooNarrow];
    return { value: mean + normal(), mean, low: mean - half, high: mean + half, widened };
  });

test("ranges that are right, or too wide, or few, stay as they are", () => {
  expect(findWidening([])).toBe(1);
  expect(findWidening(forecasts(500, 1))).toBeCloseTo(1, 1);
  expect(findWidening(forecasts(500, 0.4))).toBe(1);
  expect(findWidening(forecasts(2, 2))).toBeLessThan(1.4);
});

test.each([1.3, 2, 4])("ranges %p times too narrow widen until nine in ten hold", (tooNarrow) => {
  const widened = findWidening(forecasts(600, tooNarrow));
  expect(widened / tooNarrow).toBeGreaterThan(0.88);
  expect(widened / tooNarrow).toBeLessThan(1.12);
  const held = countHeld(forecasts(4000, tooNarrow, widened)) / 4000;
  expect(held).toBeGreaterThan(0.87);
  expect(held).toBeLessThan(0.93);
  // What was told wider and holds is no reason to widen it once more.
  expect(findWidening(forecasts(600, tooNarrow, widened)) / tooNarrow).toBeCloseTo(1, 0);
});

test("a figure on either end of its range held", () => {
  const kept = (value: number): KeptForecast => ({ value, mean: 0, low: -1, high: 1, widened: 1 });
  expect(countHeld([kept(-1), kept(1), kept(1.0001), kept(-1.0001), kept(0)])).toBe(3);
});
