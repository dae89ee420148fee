import fc from "fast-check";
import { computeMouldBlank, fitCutter, type Mould } from ".";

const cylinder: Mould = { kind: "round", axes: [{ baseMm: 80, rimMm: 80 }], depthMm: 20, fluteMm: 0 };

test("thin dough in an upright tin: base and two walls, and its area is kept", () => {
  const thin = { thicknessMm: 0.001, trimMm: 0 };
  const blank = computeMouldBlank(cylinder, thin, 1.2);
  expect(blank.acrossMm[0]).toBeCloseTo(80 + 2 * 20, 2);
  // A round of 120 mm has 36/16 of the base's area: pressed on base and wall (16 + 16 parts) it grows thicker.
  expect(blank.linedThicknessMm / thin.thicknessMm).toBeCloseTo((120 * 120) / (80 * 80 + 4 * 80 * 20), 3);
  expect(blank.massG).toBeCloseTo((Math.PI / 4) * 120 ** 2 * 0.001 * 1.2e-3, 6);
});

test("thick dough needs less: its middle takes the inside of the bend, a quarter turn at each side", () => {
  const thick = computeMouldBlank(cylinder, { thicknessMm: 4, trimMm: 5 }, 1.2);
  expect(thick.acrossMm[0]).toBeCloseTo(80 + 40 + 10 - (Math.PI / 2) * 4, 9);
});

test("a slanting wall is a hypotenuse, and an oval has a blank for each axis", () => {
  const oval: Mould = {
    kind: "oval",
    axes: [
      { baseMm: 100, rimMm: 130 },
      { baseMm: 60, rimMm: 90 },
    ],
    depthMm: 20,
    fluteMm: 0,
  };
  // 15 out and 20 up: 25 along the wall.
  const blank = computeMouldBlank(oval, { thicknessMm: 1e-6, trimMm: 3 }, 1.2);
  expect(blank.acrossMm[0]).toBeCloseTo(100 + 50 + 6, 4);
  expect(blank.acrossMm[1]).toBeCloseTo(60 + 50 + 6, 4);
  const round = { ...oval, axes: [oval.axes[0]] as const, kind: "round" as const };
  const same = { ...oval, axes: [oval.axes[0], oval.axes[0]] as const };
  const lining = { thicknessMm: 3, trimMm: 4 };
  expect(computeMouldBlank(same, lining, 1.2).linedThicknessMm).toBeCloseTo(
    computeMouldBlank(round, lining, 1.2).linedThicknessMm,
    9,
  );
});

test("the blank itself fits without shortage or excess; smaller cutters are short, larger ones trim more", () => {
  const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      length(30, 120),
      length(0, 30),
      length(8, 50),
      length(1, 5),
      length(0, 8),
      (baseMm, out, depthMm, thicknessMm, trimMm) => {
        const mould: Mould = { kind: "muffin", axes: [{ baseMm, rimMm: baseMm + out }], depthMm, fluteMm: 0 };
        const lining = { thicknessMm, trimMm };
        const across = computeMouldBlank(mould, lining, 1.2).acrossMm[0]!;
        const exact = fitCutter(mould, lining, 1.2, across);
        expect(exact.shortOnWallMm).toBeLessThan(1e-9);
        expect(exact.trimMm).toBeCloseTo(trimMm, 9);
        expect(exact.moreG).toBeCloseTo(0, 6);
        expect(exact.linesToMm).toBeCloseTo(depthMm, 6);
        const small = fitCutter(mould, lining, 1.2, across - 2 * trimMm - 6);
        expect(small.shortOnWallMm).toBeCloseTo(3, 6);
        expect(small.trimMm).toBe(0);
        const large = fitCutter(mould, lining, 1.2, across + 10);
        expect(large.trimMm).toBeCloseTo(trimMm + 5, 6);
        expect(large.moreG).toBeGreaterThan(0);
      },
    ),
  );
});

test("flutes are followed half way, and a rim narrower than its base is refused", () => {
  const lining = { thicknessMm: 3, trimMm: 3 };
  const fluted = computeMouldBlank({ ...cylinder, kind: "fluted", fluteMm: 6 }, lining, 1.2);
  expect(computeMouldBlank(cylinder, lining, 1.2).acrossMm[0]! - fluted.acrossMm[0]!).toBeCloseTo(6, 9);
  expect(() => computeMouldBlank({ ...cylinder, axes: [{ baseMm: 80, rimMm: 70 }] }, lining, 1.2)).toThrow(
    "rim",
  );
});
