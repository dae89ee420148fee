import { batchLimits, pieceLimits } from "@/schemas/limits";
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
