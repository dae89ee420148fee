import { computePortion, findSpoons } from ".";

test.each([
  [37, "2½ tbsp"],
  [6, "1¼ tsp"],
  [0.4, "¼ tsp"],
  [15, "1 tbsp"],
  [0, "0 tsp"],
])("%d ml is %s", (volumeMl, spoons) => expect(findSpoons(volumeMl)).toBe(spoons));

test("a portion's mass is its room times the filling's density", () => {
  expect(computePortion(20, 1.25)).toMatchObject({ massG: 25, volumeMl: 20 });
});
