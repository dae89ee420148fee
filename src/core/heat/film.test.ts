import fc from "fast-check";
import { computeCoreC, computeReadiness, findFilm, findRestMin, type ReadinessRequest } from ".";

const request: ReadinessRequest = {
  body: { kind: "disc", diameterMm: 160, heightMm: 30 },
  composition: { waterShare: 0.2, fatShare: 0.26, sugarShare: 0.02, starchShare: 0.38 },
  densityGPerMl: 1.2,
  window: { lowC: 10, highC: 16 },
  ...{ mixedC: 20, wrapped: true, turned: true, fridgeC: 4, freezerC: -18, roomC: 22, sheetThicknessMm: 3.5 },
};
const places = ["fridge", "freezer"] as const;

test("the film that made a core as cold as it is is found again", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...places),
      fc.double({ min: 0.2, max: 5, noNaN: true }),
      fc.integer({ min: 15, max: 90 }),
      (place, factor, restedMin) => {
        const coreC = computeCoreC({ ...request, filmFactors: { [place]: factor } }, place, restedMin);
        const found = findFilm(request, place, restedMin, coreC);
        expect(found).not.toBeNull();
        expect(Math.abs(Math.log(found! / factor))).toBeLessThan(0.01);
      },
    ),
    { numRuns: 12 },
  );
});

test("a core that no cold explains is no film: warmer than the dough came, colder than the air, or not rested", () => {
  for (const place of places)
    expect([21, -40].map((coreC) => findFilm(request, place, 40, coreC))).toEqual([null, null]);
  expect(findFilm(request, "fridge", 0, 12)).toBeNull();
});

test("a weak cold rests longer, a strong one shorter; at the end of the rest the core is where it was wanted", () => {
  const restMin = (factor: number) => findRestMin({ ...request, filmFactors: { fridge: factor } }, "fridge")!;
  expect([0.5, 1, 2].map(restMin)).toEqual([0.5, 1, 2].map(restMin).toSorted((a, b) => b - a));
  expect(restMin(1)).toBeCloseTo(findRestMin(request, "fridge")!, 9);
  const weak = { ...request, filmFactors: { fridge: 0.5 } };
  expect(computeReadiness(weak).fridge.coreReadyMin).toBeCloseTo(restMin(0.5), 9);
  expect(computeCoreC(weak, "fridge", restMin(0.5))).toBeCloseTo(request.window.highC, 1);
  // What one place's films are says nothing of the other's.
  expect(findRestMin(weak, "freezer")).toBe(findRestMin(request, "freezer"));
});
