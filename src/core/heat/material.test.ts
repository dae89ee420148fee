import { computeReadiness, type ReadinessRequest } from ".";
import { describeMaterial, uniformMaterial } from "./material";
import { findSurroundings } from "./places";

const pure = { waterShare: 0, fatShare: 0, sugarShare: 0, starchShare: 0 };
const dough = { waterShare: 0.2, fatShare: 0.26, sugarShare: 0.02, starchShare: 0.38 };

test("water is water: its heat capacity, its conductivity, and its heat of freezing", () => {
  const water = describeMaterial({ ...pure, waterShare: 1 }, 1);
  expect(water.heatCapacityJPerKgK(10)).toBeCloseTo(4180, 6);
  expect(water.conductivityWPerMK(10)).toBeCloseTo(0.58, 6);
  // From just above to far below freezing nearly all of it is ice: 334 kJ/kg, and the cooling itself.
  const fall = water.enthalpyJPerKg(0) - water.enthalpyJPerKg(-40);
  expect(fall).toBeGreaterThan(334_000 * 0.9 + 40 * 2050 * 0.9);
  expect(fall).toBeLessThan(334_000 + 40 * 4180);
  expect(water.conductivityWPerMK(-30)).toBeGreaterThan(1.8);
});

test("published spans: shortcrust takes 2.0 to 2.8 kJ/kg K and conducts 0.2 to 0.35 W/m K at room temperature", () => {
  const crust = describeMaterial(dough, 1.2);
  // Butter at 30 °C is nearly melted, so what is left is sensible heat.
  expect(crust.heatCapacityJPerKgK(35)).toBeGreaterThan(2000);
  expect(crust.heatCapacityJPerKgK(35)).toBeLessThan(2800);
  expect(crust.conductivityWPerMK(20)).toBeGreaterThan(0.2);
  expect(crust.conductivityWPerMK(20)).toBeLessThan(0.35);
});

test("sugar keeps water from freezing: a sweet paste holds less ice at −5 °C", () => {
  const latent = (sugarShare: number) => {
    const material = describeMaterial({ ...pure, waterShare: 0.3, sugarShare, starchShare: 0.4 }, 1.2);
    return material.enthalpyJPerKg(0) - material.enthalpyJPerKg(-5);
  };
  expect(latent(0.2)).toBeLessThan(latent(0.02));
});

test("enthalpy rises with temperature everywhere, and shares that come to more than all are a bug", () => {
  const material = describeMaterial(dough, 1.2);
  let last = material.enthalpyJPerKg(-40);
  for (let temperatureC = -39.5; temperatureC <= 60; temperatureC += 0.5) {
    const next = material.enthalpyJPerKg(temperatureC);
    expect(next).toBeGreaterThan(last);
    last = next;
  }
  expect(() => describeMaterial({ ...dough, waterShare: 0.9 }, 1.2)).toThrow("at most 1");
  expect(() => uniformMaterial(0, 1, 1)).toThrow("densityKgPerM3 must be above 0");
});

test("wrap slows every side, and no place takes heat faster through film than without", () => {
  for (const place of ["bench", "fridge", "freezer"] as const) {
    const [bare, wrapped] = [findSurroundings(place, 4, false), findSurroundings(place, 4, true)];
    for (const side of ["topWPerM2K", "bottomWPerM2K", "edgeWPerM2K"] as const) {
      expect(wrapped[side]).toBeLessThan(bare[side]);
      // A film in series: 1/h = 1/h₀ + 0.5 mm of air at 0.026 W/m K.
      expect(1 / wrapped[side]).toBeCloseTo(1 / bare[side] + 0.0005 / 0.026, 9);
    }
  }
});

test("a dough that comes colder than its window is ready at once; a room below the window never warms it through", () => {
  const request: ReadinessRequest = {
    body: { kind: "ball", diameterMm: 60 },
    composition: dough,
    densityGPerMl: 1.2,
    window: { lowC: 10, highC: 16 },
    mixedC: 12,
    wrapped: true,
    turned: false,
    fridgeC: 4,
    freezerC: -18,
    roomC: 9,
    sheetThicknessMm: 3,
  };
  const readiness = computeReadiness(request);
  expect([readiness.fridge.coreReadyMin, readiness.freezer.coreReadyMin]).toEqual([0, 0]);
  expect([readiness.temperMin, readiness.benchLimitMin, readiness.sheetLimitMin]).toEqual([null, null, null]);
});

test("air in it conducts worse: between the stuff alone and air alone, falling with every bubble", () => {
  const composition = { waterShare: 0.3, fatShare: 0.2, sugarShare: 0.05, starchShare: 0.35 };
  const at = (densityGPerMl: number) => describeMaterial(composition, densityGPerMl).conductivityWPerMK(20);
  // 1 / Σ share / density of its parts, g/ml: there are no pores from there on.
  const denseGPerMl = 1 / (0.3 / 1 + 0.2 / 0.925 + 0.4 / 1.59 + 0.1 / 1.32);
  expect(at(2)).toBeCloseTo(at(denseGPerMl), 9);
  const falling = [1.1, 0.9, 0.7, 0.5, 0.3, 0.2].map(at);
  falling.forEach((each, i) => expect(each).toBeLessThan(falling[i - 1] ?? at(denseGPerMl)));
  // Hashin and Shtrikman's bounds for two phases: no better than with the bubbles apart, no worse than the layers.
  for (const densityGPerMl of [1.1, 0.7, 0.3]) {
    const pores = 1 - densityGPerMl / denseGPerMl;
    const layers = 1 / ((1 - pores) / at(2) + pores / 0.026);
    expect(at(densityGPerMl)).toBeGreaterThan(layers);
    expect(at(densityGPerMl)).toBeLessThan((1 - pores) * at(2) + pores * 0.026);
  }
});
