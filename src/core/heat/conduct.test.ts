import fc from "fast-check";
import { findCrossingMin } from "./chill";
import { conduct, type Moment, type Stage, type Surroundings } from "./conduct";
import { buildGrid, type Body } from "./grid";
import { describeMaterial, uniformMaterial } from "./material";
import { computeReadiness, findRestMin, type ReadinessRequest } from "./readiness";

const K = 0.4;
const steady = uniformMaterial(1200, K, 2600);
const DIFFUSIVITY = K / (1200 * 2600);
const dough = describeMaterial({ waterShare: 0.2, fatShare: 0.26, sugarShare: 0.02, starchShare: 0.38 }, 1.2);
const around = (airC: number, film: number): Surroundings => ({
  airC,
  topWPerM2K: film,
  bottomWPerM2K: film,
  edgeWPerM2K: film,
});
const stay = (airC: number, film: number, minutes: number, turnOver = false): Stage => ({
  surroundings: around(airC, film),
  minutes,
  turnOver,
});

/** Bessel's integral: exact to rounding for a periodic integrand by the trapezium rule. */
function bessel(order: 0 | 1, x: number): number {
  const n = 128;
  let sum = 0;
  for (let i = 0; i < n; i++) {
    const angle = (2 * Math.PI * i) / n;
    sum += Math.cos(order * angle - x * Math.sin(angle));
  }
  return sum / n;
}

type Plain = "slab" | "cylinder" | "sphere";
/** Eigenvalue condition f(ζ) = 0 of each body, from Incropera & DeWitt, sections 5.5 and 5.6. */
const condition: Record<Plain, (zeta: number, biot: number) => number> = {
  slab: (z, biot) => z * Math.sin(z) - biot * Math.cos(z),
  cylinder: (z, biot) => z * bessel(1, z) - biot * bessel(0, z),
  sphere: (z, biot) => (1 - biot) * Math.sin(z) - z * Math.cos(z),
};

function findRoots(kind: Plain, biot: number, count: number): number[] {
  const f = (z: number) => condition[kind](z, biot);
  const roots: number[] = [];
  const step = 0.05;
  for (let z = 1e-4; roots.length < count; z += step) {
    if (f(z) * f(z + step) > 0) continue;
    let [low, high] = [z, z + step];
    for (let i = 0; i < 45; i++) {
      const middle = (low + high) / 2;
      if (f(low) * f(middle) <= 0) high = middle;
      else low = middle;
    }
    roots.push(low);
  }
  return roots;
}

interface Term {
  readonly rate: number;
  readonly core: number;
  /** On the face. */
  readonly face: number;
  readonly mean: number;
}
const termsOf = new Map<string, Term[]>();

/** The terms of the infinite series: rate of decay, and weight at the centre and in the mean. */
function listTerms(kind: Plain, biot: number): Term[] {
  const key = `${kind} ${biot}`;
  const known = termsOf.get(key);
  if (known) return known;
  const terms = findRoots(kind, biot, 16).map((z): Term => {
    if (kind === "slab") {
      const core = (4 * Math.sin(z)) / (2 * z + Math.sin(2 * z));
      return { rate: z * z, core, face: core * Math.cos(z), mean: (core * Math.sin(z)) / z };
    }
    if (kind === "cylinder") {
      const [j0, j1] = [bessel(0, z), bessel(1, z)];
      const core = (2 * j1) / (z * (j0 * j0 + j1 * j1));
      return { rate: z * z, core, face: core * j0, mean: (core * 2 * j1) / z };
    }
    const core = (4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z));
    return {
      rate: z * z,
      core,
      face: (core * Math.sin(z)) / z,
      mean: (core * 3 * (Math.sin(z) - z * Math.cos(z))) / z ** 3,
    };
  });
  termsOf.set(key, terms);
  return terms;
}

/** Share of the first temperature difference still left, at the centre, on the face and in the mean. */
function series(kind: Plain, biot: number, fourier: number): { core: number; face: number; mean: number } {
  let [core, face, mean] = [0, 0, 0];
  for (const term of listTerms(kind, biot)) {
    const decay = Math.exp(-term.rate * fourier);
    core += term.core * decay;
    face += term.face * decay;
    mean += term.mean * decay;
  }
  return { core, face, mean };
}

const shareLeft = (celsius: number) => celsius / 100;
/** Moments worth comparing: the series has converged, and there is something left to compare. */
const worth = (left: number, fourier: number) => fourier > 0.02 && left > 0.03;

describe.each([0.05, 1, 10, 100])("against the series at Biot %d", (biot) => {
  const radiusM = 0.02;
  const film = (biot * K) / radiusM;
  // Until about a twentieth is left: the slower of lumped cooling and conduction.
  const seconds = ((3 / biot + 1.5) * radiusM ** 2) / DIFFUSIVITY;
  const run = (body: Body) =>
    conduct(buildGrid(body), steady, 100, [stay(0, film, seconds / 60)]).filter(({ atMin }) => atMin > 0);
  const fourierOf = ({ atMin }: Moment, lengthM: number) => (DIFFUSIVITY * atMin * 60) / lengthM ** 2;

  test.each([
    ["slab", { kind: "slab", thicknessMm: 40 }],
    ["sphere", { kind: "ball", diameterMm: 40 }],
  ] as const)("a %s keeps within 1 % at the core and in the mean", (kind, body) => {
    let compared = 0;
    for (const moment of run(body)) {
      const fourier = fourierOf(moment, radiusM);
      const exact = series(kind, biot, fourier);
      if (!worth(exact.mean, fourier)) continue;
      compared++;
      expect(Math.abs(shareLeft(moment.coreC) / exact.core - 1)).toBeLessThan(0.01);
      expect(Math.abs(shareLeft(moment.meanC) / exact.mean - 1)).toBeLessThan(0.01);
    }
    expect(compared).toBeGreaterThan(10);
  });

  test("a disc is the product of a slab and a cylinder, within 1 %", () => {
    // Half as thick as wide, so that both directions matter; its own Biot number follows from its half height.
    const body: Body = { kind: "disc", diameterMm: 40, heightMm: 20 };
    for (const moment of run(body)) {
      const [flat, round] = [
        series("slab", biot / 2, fourierOf(moment, radiusM / 2)),
        series("cylinder", biot, fourierOf(moment, radiusM)),
      ];
      if (!worth(flat.mean * round.mean, fourierOf(moment, radiusM))) continue;
      expect(Math.abs(shareLeft(moment.coreC) / (flat.core * round.core) - 1)).toBeLessThan(0.01);
      expect(Math.abs(shareLeft(moment.meanC) / (flat.mean * round.mean) - 1)).toBeLessThan(0.01);
    }
  });
});

test("twice, three and four times the cells change a core temperature less and less", () => {
  const coreAfter = (refine: number) =>
    conduct(buildGrid({ kind: "ball", diameterMm: 80 }, refine), steady, 22, [stay(4, 200, 25)]).at(-1)!
      .coreC;
  const cores = [1, 2, 3, 4].map(coreAfter);
  const changes = cores.slice(1).map((core, i) => Math.abs(core - cores[i]!));
  expect(changes[0]).toBeLessThan(0.03);
  expect(changes[1]).toBeLessThan(changes[0]! / 2);
  expect(changes[2]).toBeLessThan(changes[1]! / 2);
});

const bodies = fc.oneof(
  fc.record({ kind: fc.constant("slab" as const), thicknessMm: fc.double({ min: 2, max: 60, noNaN: true }) }),
  fc.record({
    kind: fc.constant("ball" as const),
    diameterMm: fc.double({ min: 10, max: 120, noNaN: true }),
  }),
  fc.record({
    kind: fc.constantFrom("disc" as const),
    diameterMm: fc.double({ min: 40, max: 250, noNaN: true }),
    heightMm: fc.double({ min: 5, max: 80, noNaN: true }),
  }),
);

test("heat that passes the surface is heat the body holds, to 1e-6, through freezing and thawing", () => {
  fc.assert(
    fc.property(bodies, fc.double({ min: -22, max: -10, noNaN: true }), (body, freezerC) => {
      const moments = conduct(buildGrid(body), dough, 21, [stay(freezerC, 9, 50, true), stay(23, 7, 400)]);
      const most = Math.max(...moments.map(({ takenUpJ }) => Math.abs(takenUpJ)));
      for (const { takenUpJ, throughSurfaceJ } of moments) {
        expect(Math.abs(takenUpJ - throughSurfaceJ)).toBeLessThan(1e-6 * most);
      }
      // Nothing is ever colder than the freezer or warmer than the room.
      for (const { coreC, surfaceC } of moments) {
        expect(Math.min(coreC, surfaceC)).toBeGreaterThan(freezerC - 1e-6);
        expect(Math.max(coreC, surfaceC)).toBeLessThan(23 + 1e-6);
      }
    }),
    { numRuns: 6 },
  );
});

test("the heat capacity is the slope of the enthalpy, also while freezing and melting", () => {
  fc.assert(
    fc.property(fc.double({ min: -25, max: 40, noNaN: true }), (temperatureC) => {
      const step = 1e-4;
      const slope =
        (dough.enthalpyJPerKg(temperatureC + step) - dough.enthalpyJPerKg(temperatureC - step)) / (2 * step);
      const freezingC = -(1 + (5.4 * 0.02) / 0.2);
      fc.pre(Math.abs(temperatureC - freezingC) > 2 * step);
      expect(slope / dough.heatCapacityJPerKgK(temperatureC)).toBeCloseTo(1, 5);
    }),
  );
});

test("the face is told as the series has it, from the mildest film to one that is as good as touching", () => {
  for (const biot of [0.1, 1, 10, 100])
    for (const [body, kind, lengthM] of [
      [{ kind: "slab", thicknessMm: 40 }, "slab", 0.02],
      [{ kind: "ball", diameterMm: 50 }, "sphere", 0.025],
    ] as const) {
      const minutes = (0.3 * lengthM ** 2) / DIFFUSIVITY / 60;
      const stage = stay(100, (biot * K) / lengthM, minutes);
      const { surfaceC, atMin } = conduct(buildGrid(body), steady, 0, [stage]).at(-1)!;
      const { face } = series(kind, biot, (atMin * 60 * DIFFUSIVITY) / lengthM ** 2);
      expect(Math.abs(1 - surfaceC / 100 - face)).toBeLessThan(0.004);
    }
});

test("on the bench the side that warms first decides, and in the cold the side that cools first", () => {
  const uneven: Surroundings = { airC: 23, topWPerM2K: 9, bottomWPerM2K: 14, edgeWPerM2K: 8 };
  const grid = buildGrid({ kind: "slab", thicknessMm: 30 });
  const even = (film: number) => ({ ...uneven, topWPerM2K: film, bottomWPerM2K: film });
  const warmAfter = (surroundings: Surroundings) =>
    findCrossingMin(
      conduct(grid, dough, 4, [{ surroundings, minutes: 240, turnOver: false }]),
      "surfaceC",
      16,
      "rising",
    )!;
  // Between a body that is warmed so fast from both sides and one that is warmed so slowly: nearer to the fast.
  expect(warmAfter(uneven)).toBeGreaterThan(warmAfter(even(14)));
  expect(warmAfter(uneven)).toBeLessThan(warmAfter(even(11.5)));
  const cooled = conduct(grid, dough, 22, [
    { surroundings: { ...uneven, airC: 4 }, minutes: 30, turnOver: false },
  ]).at(-1)!;
  expect(cooled.surfaceC).toBeLessThan(cooled.meanC);
});

test("a sheet cooled from above alone freezes sooner on the whole if it is turned half way", () => {
  const oneSided: Surroundings = { airC: -18, topWPerM2K: 12, bottomWPerM2K: 1.5, edgeWPerM2K: 6 };
  const run = (turnOver: boolean) =>
    conduct(buildGrid({ kind: "disc", diameterMm: 160, heightMm: 40 }), dough, 20, [
      { surroundings: oneSided, minutes: 20, turnOver },
      { surroundings: oneSided, minutes: 20, turnOver: false },
    ]).at(-1)!;
  expect(run(true).meanC).toBeLessThan(run(false).meanC);
});

test("a crossing lies between its moments, and is told from one that never comes", () => {
  const moments = conduct(buildGrid({ kind: "ball", diameterMm: 50 }), dough, 20, [stay(4, 10, 240)]);
  const minute = findCrossingMin(moments, "coreC", 12, "falling")!;
  const next = moments.findIndex(({ atMin }) => atMin >= minute);
  expect(moments[next - 1]!.coreC).toBeGreaterThan(12);
  expect(moments[next]!.coreC).toBeLessThanOrEqual(12);
  expect(findCrossingMin(moments, "coreC", 25, "falling")).toBe(0);
  expect(findCrossingMin(moments, "coreC", 2, "falling")).toBeNull();
});

test("wrapping, a smaller piece and the freezer change the rest the way they should", () => {
  const request: ReadinessRequest = {
    body: { kind: "disc", diameterMm: 160, heightMm: 30 },
    composition: { waterShare: 0.2, fatShare: 0.26, sugarShare: 0.02, starchShare: 0.38 },
    densityGPerMl: 1.2,
    window: { lowC: 10, highC: 16 },
    mixedC: 20,
    wrapped: true,
    turned: true,
    fridgeC: 4,
    freezerC: -18,
    roomC: 22,
    sheetThicknessMm: 3.5,
  };
  const plain = computeReadiness(request);
  const ready = (fields: Partial<ReadinessRequest>) =>
    computeReadiness({ ...request, ...fields }).fridge.coreReadyMin!;
  expect(plain.freezer.coreReadyMin!).toBeLessThan(plain.fridge.coreReadyMin!);
  expect(ready({ wrapped: false })).toBeLessThan(plain.fridge.coreReadyMin!);
  expect(ready({ body: { kind: "ball", diameterMm: 40 } })).toBeLessThan(plain.fridge.coreReadyMin!);
  for (const place of ["fridge", "freezer"] as const) {
    expect(findRestMin(request, place)).toBeCloseTo(plain[place].coreReadyMin!, 9);
  }
  const lying = computeReadiness({ ...request, turned: false });
  expect(lying.freezer.coreReadyMin).not.toBe(plain.freezer.coreReadyMin);
  expect(lying.fridge.coreReadyMin).toBe(plain.fridge.coreReadyMin);
  // A thin sheet warms sooner than the piece it came from; in a cold room it never gets too warm.
  expect(plain.sheetLimitMin!).toBeLessThan(plain.benchLimitMin!);
  expect(computeReadiness({ ...request, roomC: 14 }).benchLimitMin).toBeNull();
});
