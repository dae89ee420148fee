import { batchLimits, pieceLimits, type Limit } from "@/schemas/limits";
import { parseDial } from "./parseDial";

const celsius = pieceLimits.ovenC;
const fahrenheit = { ...celsius, unit: "°F", min: 212, max: 572, step: 5 };

test.each([
  ["410", fahrenheit, 410],
  ["410 F", fahrenheit, 410],
  ["210 C", fahrenheit, 410],
  ["gas 6", fahrenheit, 392],
  ["407", fahrenheit, 407],
  ["200", celsius, 200],
  ["400 F", celsius, 204.44],
  ["gas 6", celsius, 200],
  ["180 fan", celsius, 200],
])("a heat typed as “%s” is read in any scale", (text, limit, value) => {
  const parsed = parseDial(text, limit);
  expect("value" in parsed && parsed.value).toBeCloseTo(value, 1);
});

test("a heat that no oven has is refused in the dial's own degrees, by how much", () => {
  expect(parseDial("700", fahrenheit)).toMatchObject({ fault: expect.stringContaining("128") });
  expect(parseDial("gas 40", fahrenheit)).toMatchObject({ fault: expect.stringContaining("no gas mark") });
});

test.each([
  ["3 lb", 1360.78],
  ["1.2 kg", 1200],
  ["8 oz", 226.8],
  ["900", 900],
])("a batch typed as “%s” is read in any unit of mass", (text, massG) => {
  const parsed = parseDial(text, batchLimits.doughG);
  expect("value" in parsed && parsed.value).toBeCloseTo(massG, 2);
});

test("a batch in cups is no mass, and what would be is said", () => {
  expect(parseDial("3 cups", batchLimits.doughG)).toMatchObject({ fault: expect.stringContaining("mass") });
});

const unit = (of: string, max = 100_000): Limit => ({ label: "It", unit: of, min: 0, max, step: 1 });

test.each([
  ["25 min", "min", 25],
  ["1 h 30", "min", 90],
  ["1:30", "min", 90],
  ["90 s", "min", 1.5],
  ["1 1/2 hours", "min", 90],
  ["2 days", "min", 2880],
  ["45", "s", 45],
  ["1 min", "s", 60],
  ["36 h", "days", 1.5],
  ["3", "days", 3],
  ["3 1/4 in", "mm", 82.55],
  ["4½ in", "mm", 114.3],
  ["12 cm", "mm", 120],
  ["2 lb", "g", 907.18],
  ["900 g", "g", 900],
  ["5 lb", "kg", 2.27],
  ["1.5", "kg", 1.5],
  ["2 kW", "W", 2000],
  ["1800 W", "kW", 1.8],
  ["3 kw", "kW", 3],
  ["1.1 g/ml", "g/ml", 1.1],
  ["4 °C/min", "°C/min", 4],
  ["7", "", 7],
])("“%s” in a dial of %s is %d", (text, of, value) => {
  const parsed = parseDial(text, unit(of));
  expect("value" in parsed ? parsed.value : parsed.fault).toBeCloseTo(value, 2);
});

test.each([
  ["12 in", "min", /stretch of time/],
  ["5 parsnips", "mm", /parsnips/],
  ["2 h", "mm", /h/],
  ["12 pieces", "", /number/],
  ["", "min", /number/],
])("“%s” in a dial of %s is refused with words", (text, of, words) => {
  expect(parseDial(text, unit(of))).toMatchObject({ fault: expect.stringMatching(words) });
});

test("a share takes its percent sign, and is refused in percent", () => {
  expect(parseDial("55 %", pieceLimits.plumpness)).toEqual({ value: 0.55 });
  expect(parseDial("140%", pieceLimits.plumpness)).toMatchObject({ fault: expect.stringContaining("40") });
});
