import fc from "fast-check";
import { computeFold, solveFilledSection, type Fold, type FoldRequest } from ".";
import { refused } from "../words/__tests__/refused";

const halfMoon: FoldRequest = {
  form: "halfMoon",
  cut: { kind: "disc", diameterMm: 120 },
  thicknessMm: 3,
  springBackShare: 0,
  marginMm: 12,
  plumpness: 0.5,
};

function foldOf(request: FoldRequest): Fold {
  const fold = computeFold(request);
  if (!fold.ok) throw new Error(fold.failure.code);
  return fold.value;
}

/** Dough so thin that the way round the bend is nothing beside the blank. */
const THIN_MM = 1e-7;

test("a flat section holds nothing and a round one perimeter²/4π", () => {
  expect(solveFilledSection(80, 0)).toMatchObject({ footMm: 40, heightMm: 0, areaMm2: 0 });
  const round = solveFilledSection(80, 1);
  expect(round.areaMm2).toBeCloseTo(80 ** 2 / (4 * Math.PI), 9);
  expect(round.footMm).toBeCloseTo(0, 9);
  expect(round.heightMm).toBeCloseTo(80 / Math.PI, 9);
  // Half round: a half circle on its diameter, r = p / (π + 2).
  expect(solveFilledSection(80, 0.5).areaMm2).toBeCloseTo((Math.PI * (80 / (Math.PI + 2)) ** 2) / 2, 9);
});

test("a section keeps its perimeter, stays under the isoperimetric bound and narrows its foot as it plumps", () => {
  const share = fc.double({ min: 0.01, max: 1, noNaN: true });
  fc.assert(
    fc.property(fc.double({ min: 5, max: 400, noNaN: true }), share, share, (perimeterMm, one, other) => {
      const [lean, plump] = [Math.min(one, other), Math.max(one, other)].map((p) =>
        solveFilledSection(perimeterMm, p),
      );
      for (const section of [lean!, plump!]) {
        const arcMm = 2 * section.arcRadiusMm * section.arcHalfAngle;
        expect(section.footMm + arcMm).toBeCloseTo(perimeterMm, 6);
        expect(section.areaMm2).toBeLessThanOrEqual((perimeterMm ** 2 / (4 * Math.PI)) * (1 + 1e-9));
      }
      expect(plump!.areaMm2).toBeGreaterThanOrEqual(lean!.areaMm2 - 1e-9);
      expect(plump!.footMm).toBeLessThanOrEqual(lean!.footMm + 1e-9);
    }),
  );
});

test("round folds of thin dough meet their closed forms", () => {
  const thin = { ...halfMoon, thicknessMm: THIN_MM, plumpness: 1 };
  // Half-moon, r = 60 − 12: ∫ (r² − x²)/π dx = 4r³/3π.
  expect(foldOf(thin).capacityMl).toBeCloseTo((4 * 48 ** 3) / (3 * Math.PI) / 1000, 4);
  // Triangle of a 110 mm square, G = (110/√2) − 12√2: 2G³/3π.
  const legMm = 110 / Math.SQRT2 - 12 * Math.SQRT2;
  const triangle = foldOf({ ...thin, form: "triangle", cut: { kind: "square", sideMm: 110 } });
  expect(triangle.capacityMl).toBeCloseTo((2 * legMm ** 3) / (3 * Math.PI) / 1000, 4);
});

/**
 * What a bag without stretch can hold, by fine integration over shapes that it can take: every section across it is a
 * lens of its own width of dough, and the ridge is as long as the bag. The best of them is a bound from below.
 */
function integrateBagMm3(widthMm: number, lengthMm: number): number {
  const lens = (heightMm: number) => {
    // Two arcs of length w each: half-angle a with height 2r(1 − cos a), w = 2ra.
    let [low, high] = [1e-9, Math.PI / 2];
    for (let i = 0; i < 50; i++) {
      const a = (low + high) / 2;
      if ((widthMm / a) * (1 - Math.cos(a)) < heightMm) low = a;
      else high = a;
    }
    const r = widthMm / (2 * low);
    return r * r * (2 * low - Math.sin(2 * low));
  };
  let most = 0;
  const steps = 400;
  for (const power of [1.6, 2, 2.5, 3, 4]) {
    for (const share of [0.7, 0.8, 0.9, 0.97]) {
      const fullMm = (share * 2 * widthMm) / Math.PI;
      const halfHeight = (u: number) => (fullMm / 2) * (1 - Math.abs(u) ** power) ** (1 / power);
      const ridge = (extentMm: number) => {
        let sum = 0;
        for (let i = 0; i < steps; i++) {
          const [u, v] = [-1 + (2 * i) / steps, -1 + (2 * (i + 1)) / steps];
          sum += Math.hypot(((v - u) * extentMm) / 2, halfHeight(v) - halfHeight(u));
        }
        return sum;
      };
      let [low, high] = [0, lengthMm];
      for (let i = 0; i < 40; i++) {
        const middle = (low + high) / 2;
        if (ridge(middle) < lengthMm) low = middle;
        else high = middle;
      }
      let volume = 0;
      for (let i = 0; i < steps; i++)
        volume += (lens(2 * halfHeight(-1 + (2 * i + 1) / steps)) * low) / steps;
      most = Math.max(most, volume);
    }
  }
  return most;
}

test("a pocket closed at its ends holds what a bag without stretch can, not what a roll would", () => {
  // 241 × 79 mm in dough of 3 mm with a margin of 12: a bag of 55 by about 104 mm.
  const strip = foldOf({
    ...halfMoon,
    form: "rectangle",
    cut: { kind: "rectangle", widthMm: 241, heightMm: 79 },
    plumpness: 1,
  });
  expect(strip.capacityMl).toBeGreaterThan(74);
  expect(strip.capacityMl).toBeLessThan(79);
  for (const [widthMm, lengthMm] of [
    [55, 60],
    [55, 104],
    [60, 180],
    [80, 320],
  ] as const) {
    const thin = foldOf({
      ...halfMoon,
      form: "rectangle",
      cut: { kind: "rectangle", widthMm: widthMm + 24, heightMm: 2 * (lengthMm + 12) },
      thicknessMm: THIN_MM,
      plumpness: 1,
    });
    const bound = integrateBagMm3(widthMm, lengthMm) / 1000;
    const roll = (widthMm ** 2 * lengthMm) / Math.PI / 1000;
    expect(thin.capacityMl).toBeLessThan(roll);
    expect(thin.capacityMl / bound).toBeGreaterThan(0.97);
    expect(thin.capacityMl / bound).toBeLessThan(1.2);
  }
});

test("a pocket is as high as its narrower way round allows, and grows with every share of plumpness", () => {
  const pocket = (plumpness: number) =>
    foldOf({
      ...halfMoon,
      form: "rectangle",
      cut: { kind: "rectangle", widthMm: 80, heightMm: 240 },
      thicknessMm: THIN_MM,
      plumpness,
    });
  const heights = [0.1, 0.3, 0.5, 0.7, 1].map((p) => pocket(p));
  for (const [i, fold] of heights.entries()) {
    expect(fold.section.heightMm).toBeLessThanOrEqual((2 * 56) / Math.PI + 1e-6);
    if (i > 0) expect(fold.capacityMl).toBeGreaterThan(heights[i - 1]!.capacityMl);
  }
  expect(pocket(1).section.heightMm).toBeCloseTo((2 * 56) / Math.PI, 3);
});

test("a half-moon of real dough agrees with the closed integral, thickness counted", () => {
  // k = πt/2; ∫ (√(r²−x²) − k)²/π over √(r²−x²) > k.
  const [r, k] = [48, (Math.PI * 3) / 2];
  const a = Math.sqrt(r * r - k * k);
  const exact = (2 / Math.PI) * (r * r * a - a ** 3 / 3 - k * (a * k + r * r * Math.asin(a / r)) + k * k * a);
  expect(foldOf({ ...halfMoon, plumpness: 1 }).capacityMl).toBeCloseTo(exact / 1000, 2);
});

test("spring-back shrinks the blank, keeps its volume and lowers the capacity", () => {
  const [still, relaxed] = [foldOf(halfMoon), foldOf({ ...halfMoon, springBackShare: 0.05 })];
  expect(relaxed.settledBlank).toEqual({ kind: "disc", diameterMm: 114 });
  expect(relaxed.settledThicknessMm * 114 ** 2).toBeCloseTo(3 * 120 ** 2, 6);
  expect(relaxed.capacityMl).toBeLessThan(still.capacityMl);
});

test("seams: half a circle, two sides of a square, three of a rectangle", () => {
  expect(foldOf(halfMoon).seamMm).toBeCloseTo(Math.PI * 60, 9);
  expect(foldOf({ ...halfMoon, form: "triangle", cut: { kind: "square", sideMm: 110 } }).seamMm).toBe(220);
  expect(
    foldOf({ ...halfMoon, form: "rectangle", cut: { kind: "rectangle", widthMm: 80, heightMm: 140 } }).seamMm,
  ).toBe(220);
});

test.each([
  ["half-moon", halfMoon, 60],
  ["triangle", { ...halfMoon, form: "triangle", cut: { kind: "square", sideMm: 110 } }, 55],
  [
    "rectangle",
    { ...halfMoon, form: "rectangle", cut: { kind: "rectangle", widthMm: 80, heightMm: 140 } },
    40,
  ],
] as const)("a %s refuses a margin exactly where nothing is left to fill", (_name, request, mostMm) => {
  expect(computeFold({ ...request, thicknessMm: THIN_MM, marginMm: mostMm - 0.01 }).ok).toBe(true);
  const answer = computeFold({ ...request, thicknessMm: THIN_MM, marginMm: mostMm + 5 });
  expect(refused(answer)).toMatchObject({
    code: "foldMarginTooWide",
    words: expect.stringContaining(`below ${mostMm} mm`),
  });
});

test("dough too thick for the fold and an outline that cannot be folded so are refused", () => {
  expect(refused(computeFold({ ...halfMoon, thicknessMm: 31 }))).toMatchObject({ code: "noRoomInFold" });
  expect(refused(computeFold({ ...halfMoon, form: "triangle" }))).toMatchObject({ code: "wrongOutline" });
});
