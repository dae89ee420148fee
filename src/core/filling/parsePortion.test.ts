import { inHouse } from "../units";
import { sayFailure } from "../words";
import { refused } from "../words/__tests__/refused";
import { parsePortion } from ".";

test.each([
  ["25", 25],
  ["25 g", 25],
  ["1 oz", 28.35],
  ["2 tbsp", 33],
  ["1½ tsp", 8.25],
  // 946.353 ml over 40, at 1.1 g/ml.
  ["scoop 40", 26.02],
  ["#40", 26.02],
  ["Scoop no. 40", 26.02],
])("%s of a filling of 1.1 g/ml", (text, massG) => {
  const portion = parsePortion(text, 1.1, "metric");
  expect(portion.ok && portion.value).toBeCloseTo(massG, 2);
});

test("a bare figure is in the house's unit, a spoon is a spoon in every house", () => {
  const inOunces = (text: string) =>
    inHouse({ lengthUnit: "inch", massUnit: "ounce" }, () => parsePortion(text, 1.1, "metric"));
  expect(
    ["0.9", "1 lb 1 oz", "2 tbsp", "25 g"].map((text) => inOunces(text)).map((read) => read.ok && read.value),
  ).toEqual([0.9 * 28.349523125, 17 * 28.349523125, 33, 25].map((massG) => expect.closeTo(massG, 6)));
  const none = inOunces("some");
  expect(
    none.ok || inHouse({ lengthUnit: "mm", massUnit: "ounce" }, () => sayFailure(none.failure)),
  ).toContain("Write 0.88 oz, 2 tbsp or scoop 40.");
});

test.each(["", "some", "3 mm", "scoop 0", "-2 g"])(
  "“%s” is no portion, and what would be is said",
  (text) => {
    const portion = parsePortion(text, 1.1, "metric");
    expect(refused(portion)?.words).toMatch(/25 g, 2 tbsp or scoop 40|no scoop/);
  },
);
