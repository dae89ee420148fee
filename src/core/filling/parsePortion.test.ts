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

test.each(["", "some", "3 mm", "scoop 0", "-2 g"])(
  "“%s” is no portion, and what would be is said",
  (text) => {
    const portion = parsePortion(text, 1.1, "metric");
    expect(refused(portion)?.words).toMatch(/25 g, 2 tbsp or scoop 40|no scoop/);
  },
);
