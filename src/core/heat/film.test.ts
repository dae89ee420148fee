import fc from "fast-check";
import {
  chill,
  COMES_OUT_C,
  computeReadiness,
  coolPiece,
  findFilm,
  findRestMin,
  readFilmCore,
  tabulateCooling,
  tabulateFilm,
  type ColdPlace,
  type ReadinessRequest,
} from ".";

const request: ReadinessRequest = {
  body: { kind: "disc", diameterMm: 160, heightMm: 30 },
  composition: { waterShare: 0.2, fatShare: 0.26, sugarShare: 0.02, starchShare: 0.38 },
  densityGPerMl: 1.2,
  window: { lowC: 10, highC: 16 },
  ...{ mixedC: 20, wrapped: true, turned: true, fridgeC: 4, freezerC: -18, roomC: 22, sheetThicknessMm: 3.5 },
};
const REST_MIN = 60;
const tables = {
  fridge: tabulateFilm(request, "fridge", REST_MIN),
  freezer: tabulateFilm(request, "freezer", REST_MIN),
} as const;
const airC = { fridge: 4, freezer: -18 } as const;
/** The core by the model itself. */
function computeCoreC(place: ColdPlace, filmFactor: number, minutes: number): number {
  const { body, composition, densityGPerMl, mixedC: startC, wrapped } = request;
  const of = { place, airC: airC[place], filmFactor };
  const turnMin = place === "freezer" ? Math.min(REST_MIN / 2, minutes) : 0;
  const stays = [
    { ...of, minutes: turnMin, turnOver: true },
    { ...of, minutes: minutes - turnMin, turnOver: false },
  ];
  return chill({ body, composition, densityGPerMl, startC, wrapped, stays }).at(-1)!.coreC;
}

test("between the films that are worked out a core lies where the model puts it, to a few tenths of a degree", () => {
  for (const [place, factor, minutes] of [
    ["fridge", 0.5, 60],
    ["fridge", 1.7, 37],
    ["fridge", 4, 60],
    ["freezer", 0.6, 25],
  ] as const)
    expect(
      Math.abs(readFilmCore(tables[place], factor, minutes)! - computeCoreC(place, factor, minutes)),
    ).toBeLessThan(0.35);
  expect(readFilmCore(tables.fridge, 1, 100)).toBeCloseTo(computeCoreC("fridge", 1, 100), 2);
  expect(readFilmCore(tables.fridge, 1, 500)).toBeNull();
});

test("the film that made a core as cold as it is is found again, where it shows in the core", () => {
  fc.assert(
    fc.property(
      fc.constantFrom("fridge" as const, "freezer" as const),
      fc.double({ min: 0.2, max: 5, noNaN: true }),
      fc.integer({ min: 1, max: 150 }),
      (place, factor, minutes) => {
        const coreC = readFilmCore(tables[place], factor, minutes)!;
        const found = findFilm(tables[place], minutes, coreC);
        // Where a film of e times as much shows by less than three times what a probe is good to, nothing is told.
        const coreAt = (times: number) => readFilmCore(tables[place], times, minutes)!;
        const showsC = coreAt(factor * Math.exp(-0.5)) - coreAt(factor * Math.exp(0.5));
        if (showsC > 1.5) expect(found).not.toBeNull();
        if (showsC < 1.3) expect(found).toBeNull();
        if (found !== null) expect(Math.abs(Math.log(found / factor))).toBeLessThan(0.01);
      },
    ),
  );
});

test("a core that no cold explains is no film: warmer than the dough came, colder than the air, or not rested", () => {
  for (const place of ["fridge", "freezer"] as const)
    expect([21, -40].map((coreC) => findFilm(tables[place], 40, coreC))).toEqual([null, null]);
  expect(findFilm(tables.fridge, 0, 12)).toBeNull();
  expect(findFilm(tables.fridge, 3, readFilmCore(tables.fridge, 1, 3)!)).toBeNull();
  expect(findFilm(tables.fridge, 700, 4.2)).toBeNull();
});

test("a weak cold rests longer, a strong one shorter; at the end of the rest the core is where it was wanted", () => {
  const restMin = (factor: number) => findRestMin({ ...request, filmFactors: { fridge: factor } }, "fridge")!;
  const [weak, even, strong] = [0.5, 1, 2].map(restMin);
  expect(weak).toBeGreaterThan(even!);
  expect(even).toBeGreaterThan(strong!);
  expect(even).toBeCloseTo(findRestMin(request, "fridge")!, 9);
  const inWeak = { ...request, filmFactors: { fridge: 0.5 } };
  expect(computeReadiness(inWeak).fridge.coreReadyMin).toBeCloseTo(weak!, 9);
  expect(computeCoreC("fridge", 0.5, weak!)).toBeCloseTo(request.window.highC, 1);
  // What one place's films are says nothing of the other's.
  expect(findRestMin(inWeak, "freezer")).toBe(findRestMin(request, "freezer"));
});

test("a piece's core on the bench is the model's, and the film is found again from it, hotter or cooler as it came out", () => {
  const roomC = 21;
  const pie = {
    body: { kind: "slab", thicknessMm: 28 },
    composition: { waterShare: 0.5, fatShare: 0.12, sugarShare: 0.1, starchShare: 0.2 },
    densityGPerMl: 1.05,
  } as const;
  const table = tabulateCooling(pie, roomC);
  const coreC = (filmFactor: number, minutes: number, startC = COMES_OUT_C) => {
    const stay = { place: "bench", airC: roomC, minutes, turnOver: false, filmFactor } as const;
    return chill({ ...pie, startC, wrapped: false, stays: [stay] }).at(-1)!.coreC;
  };
  for (const [factor, minutes] of [
    [0.6, 40],
    [1.4, 25],
    [2.2, 35],
  ] as const) {
    const found = findFilm(table, minutes, coreC(factor, minutes))!;
    expect(Math.abs(Math.log(found / factor))).toBeLessThan(0.06);
    // Linear above freezing: a piece that came out at 95 °C is told as one that came out as usual.
    const hot = coreC(factor, minutes, 95);
    const even = roomC + ((hot - roomC) * (COMES_OUT_C - roomC)) / (95 - roomC);
    expect(Math.abs(Math.log(findFilm(table, minutes, even)! / factor))).toBeLessThan(0.06);
  }
  const cool = (filmFactors: { bench?: number; fridge?: number }) =>
    coolPiece({ ...pie, startC: COMES_OUT_C, roomC, fridgeC: 4, roomMin: 60, filmFactors });
  expect(cool({ bench: 2 }).to60Min!).toBeLessThan(cool({}).to60Min!);
  expect(cool({ fridge: 2 }).to5Min!).toBeLessThan(cool({}).to5Min!);
  expect(cool({ fridge: 2 }).to60Min).toBe(cool({}).to60Min);
});

test("on a bench through which heat passes quickly a dough tempers sooner, and its sheet warms sooner", () => {
  const [even, quick] = [
    computeReadiness(request),
    computeReadiness({ ...request, filmFactors: { bench: 2 } }),
  ];
  expect(quick.temperMin!).toBeLessThan(even.temperMin!);
  expect(quick.sheetLimitMin!).toBeLessThan(even.sheetLimitMin!);
  expect(quick.fridge.coreReadyMin).toBe(even.fridge.coreReadyMin);
});
