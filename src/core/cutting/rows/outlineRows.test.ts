import fc from "fast-check";
import { Budget } from "../../budget";
import { gapMm, placePolygon, toContour, toHalfPlanes, type Outline, type SheetShape } from "../../shape";
import { checkSheet, fillGaps, layOutRows, layOutTogether, searchTightOutlines } from "..";
import type { Placement, SharedSheet } from "..";
import { placeShared } from "./layOutTogether";
import { alternateDiscs } from "./alternateDiscs";
import { clearBelowMm, computeProfile } from "./profile";
import { refused } from "../../words/__tests__/refused";

const outlines: readonly Outline[] = [
  { kind: "leaf", widthMm: 40, heightMm: 18 },
  { kind: "heart", widthMm: 80, heightMm: 70 },
  { kind: "star", diameterMm: 80, points: 5 },
  { kind: "oval", widthMm: 90, heightMm: 50 },
  { kind: "polygon", diameterMm: 70, sides: 6 },
  { kind: "scalloped", diameterMm: 70, lobes: 9 },
  { kind: "triangle", legMm: 70 },
  {
    kind: "path",
    corners: [
      [-30, -20],
      [30, -20],
      [30, 20],
      [0, 5],
      [-30, 20],
    ],
  },
];

/** Distances by the edges themselves, knowing nothing of rows and profiles. */
function check(
  outline: Outline,
  placements: readonly Placement[],
  sheet: SheetShape,
  marginMm: number,
  webMm: number,
) {
  const cuts = placements.map(({ xMm, yMm, angleDeg }) =>
    placePolygon(toContour(outline), xMm, yMm, angleDeg),
  );
  const beyondMm = toHalfPlanes(sheet).map(
    ({ nx, ny, reachMm }) => Math.max(...cuts.flat().map(([x, y]) => x * nx + y * ny)) - (reachMm - marginMm),
  );
  expect(Math.max(...beyondMm)).toBeLessThanOrEqual(1e-3);
  const gaps = cuts.flatMap((one, i) =>
    cuts.slice(i + 1).flatMap((other, j) => {
      const [a, b] = [placements[i]!, placements[i + 1 + j]!];
      return Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) < 110 ? [gapMm(one, other, webMm + 1)] : [];
    }),
  );
  expect(Math.min(...gaps, webMm)).toBeGreaterThanOrEqual(webMm - 2e-3);
}

/** Rows of so many steps of their search. */
const rowsOf = (request: Parameters<typeof layOutRows>[0], steps: number) => {
  const layout = layOutRows(request, Budget.ofSteps(steps));
  return layout.ok ? layout.value : null;
};

const sheets = fc.record({
  widthMm: fc.integer({ min: 90, max: 330 }),
  heightMm: fc.integer({ min: 90, max: 260 }),
  shape: fc.constantFrom("rectangle" as const, "oval" as const),
});

test("an outline's rows keep the web by its true shape, stay on the sheet, and never pass the bound", () => {
  fc.assert(
    fc.property(fc.constantFrom(...outlines), sheets, fc.boolean(), (outline, sheet, mayTurn) => {
      const layout = layOutRows({ outline, sheet, webMm: 2, marginMm: 5, mayTurn });
      if (!layout.ok) return;
      const { placements, count, upperBound } = layout.value;
      expect(placements).toHaveLength(count);
      expect(count).toBeLessThanOrEqual(upperBound);
      check(outline, placements, sheet, 5, 2);
      if (!mayTurn) for (const { angleDeg } of placements) expect(angleDeg % 180).toBe(0);
    }),
    { numRuns: 12, seed: 3 },
  );
});

test("hexagons without a web tile, half squares leave nothing, hearts interlock", () => {
  // Rows of 7 and 6 hexagons 40 mm across corners: width 7·√3·20, height 40 + 4·30.
  const hexagons = layOutRows({
    outline: { kind: "polygon", diameterMm: 40, sides: 6 },
    sheet: { widthMm: 7 * Math.sqrt(3) * 20 + 0.5, heightMm: 160.5 },
    webMm: 0,
    marginMm: 0,
    mayTurn: true,
  });
  expect(hexagons).toMatchObject({ ok: true, value: { count: 33 } });
  const halves = layOutRows({
    outline: { kind: "triangle", legMm: 100 },
    sheet: { widthMm: 400, heightMm: 300 },
    webMm: 0,
    marginMm: 0,
    mayTurn: false,
  });
  expect(halves).toMatchObject({ ok: true, value: { count: 24, usedShare: 1 } });
  const heart = { kind: "heart", widthMm: 80, heightMm: 70 } as const;
  const hearts = layOutRows({
    outline: heart,
    sheet: { widthMm: 420, heightMm: 310 },
    webMm: 0,
    marginMm: 0,
    mayTurn: true,
  });
  // In boxes 5 × 4 fit.
  expect(hearts.ok && hearts.value.count).toBeGreaterThanOrEqual(24);
});

test("a round sheet of three diameters holds seven discs", () => {
  const sheet = { widthMm: 300.2, heightMm: 300.2, shape: "oval" } as const;
  const layout = layOutRows({
    outline: { kind: "disc", diameterMm: 100 },
    sheet,
    webMm: 0,
    marginMm: 0,
    mayTurn: true,
  });
  expect(layout).toMatchObject({ ok: true, value: { count: 7 } });
});

test("small cuts go in the gaps of large ones and touch none", () => {
  const large = { kind: "disc", diameterMm: 90 } as const;
  const sheet = { widthMm: 380, heightMm: 380 };
  const layout = layOutRows({ outline: large, sheet, webMm: 2, marginMm: 5, mayTurn: true });
  if (!layout.ok) throw new Error(layout.failure.code);
  const placed = layout.value.placements.map(({ xMm, yMm }) => placePolygon(toContour(large), xMm, yMm, 0));
  const small = { kind: "disc", diameterMm: 26 } as const;
  const found = fillGaps({ placed, sheet, marginMm: 5, outline: small, webMm: 2, anglesDeg: [0], most: 100 });
  // Sixteen in a square grid leave nine hollows.
  expect(layout.value.count).toBe(16);
  expect(found.length).toBeGreaterThanOrEqual(9);
  check(small, found, sheet, 5, 2);
  const cuts = found.map(({ xMm, yMm }) => placePolygon(toContour(small), xMm, yMm, 0));
  const gaps = cuts.flatMap((cut) => placed.map((other) => gapMm(cut, other, 3)));
  expect(Math.min(...gaps)).toBeGreaterThanOrEqual(2 - 1e-3);
});

test("more freedom never gives fewer: where cuts may be turned there are at least as many as where they may not", () => {
  const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(length(25, 60), length(25, 60), length(150, 420), length(150, 300), (w, h, wide, high) => {
      const outline = { kind: "leaf", widthMm: w, heightMm: h } as const;
      const count = (mayTurn: boolean) => {
        const layout = layOutRows({
          outline,
          sheet: { widthMm: wide, heightMm: high },
          webMm: 1,
          marginMm: 4,
          mayTurn,
        });
        return layout.ok ? layout.value.count : 0;
      };
      expect(count(true)).toBeGreaterThanOrEqual(count(false));
    }),
    { numRuns: 8, seed: 8 },
  );
});

test("a tight search of hearts is never below rows, repeats itself, and keeps the web", () => {
  const request = {
    outlines: [{ outline: { kind: "heart", widthMm: 80, heightMm: 70 }, ratio: 1 }],
    sheet: { widthMm: 350, heightMm: 270 },
    webMm: 2,
    marginMm: 5,
    mayTurn: true,
    seed: 2,
  } as const;
  const run = () => {
    const search = searchTightOutlines(request);
    let found = search.next();
    while (!found.done && found.value.attempts < 3) found = search.next();
    return found.value;
  };
  const found = run();
  expect(found.sets).toBeGreaterThanOrEqual(found.rowsSets);
  expect(found.sets).toBeLessThanOrEqual(found.upperBound);
  check(request.outlines[0].outline, found.parts[0]!, request.sheet, 5, 2);
  expect(run()).toEqual(found);
});

test("two sizes on one sheet in equal numbers: better than halving it", () => {
  const [large, small] = [
    { kind: "disc", diameterMm: 80 } as const,
    { kind: "disc", diameterMm: 72 } as const,
  ];
  const outlines = [large, small].map((outline) => ({ outline, webMm: 1, ratio: 1 }));
  let better = 0;
  for (let widthMm = 300; widthMm <= 620; widthMm += 40) {
    const sheet = { widthMm, heightMm: 400 };
    const together = layOutTogether({ outlines, sheet, marginMm: 8, mayTurn: true });
    if (!together.ok) throw new Error(together.failure.code);
    const count = (outline: Outline, half: { widthMm: number; heightMm: number }) => {
      const layout = layOutRows({ outline, sheet: half, webMm: 1, marginMm: 0, mayTurn: true });
      return layout.ok ? layout.value.count : 0;
    };
    const halves = [
      { widthMm: (widthMm - 17) / 2, heightMm: 384 },
      { widthMm: widthMm - 16, heightMm: (384 - 1) / 2 },
    ].map((half) => Math.min(count(large, half), count(small, half)));
    expect(together.value.sets).toBeGreaterThanOrEqual(Math.max(...halves));
    if (together.value.sets > Math.max(...halves)) better++;
    expect(Math.min(...together.value.parts.map((part) => part.count))).toBeGreaterThanOrEqual(
      together.value.sets,
    );
  }
  expect(better).toBeGreaterThan(0);
});

test("discs by turns keep their distances", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 60, max: 110 }),
      fc.integer({ min: 30, max: 60 }),
      fc.integer({ min: 200, max: 600 }),
      (d, e, w) => {
        const rows = alternateDiscs(d, e, { widthMm: w, heightMm: 400 }, 2);
        if (!rows) return;
        const discs = [[d, rows.large] as const, [e, rows.small] as const].flatMap(([size, pattern]) =>
          pattern.rows.flatMap((row) =>
            Array.from({ length: row.count }, (_, i) => ({
              r: size / 2,
              x: row.startMm + i * row.pitchMm,
              y: row.acrossMm,
            })),
          ),
        );
        discs.forEach((a, i) => {
          expect(a.x).toBeGreaterThanOrEqual(a.r - 1e-6);
          expect(a.x).toBeLessThanOrEqual(w - a.r + 1e-6);
          expect(a.y).toBeLessThanOrEqual(400 - a.r + 1e-6);
          for (const b of discs.slice(i + 1))
            if (Math.hypot(a.x - b.x, a.y - b.y) < a.r + b.r + 2 - 1e-6)
              throw new Error(`${d} ${e} ${w} overlap`);
        });
      },
    ),
    { numRuns: 60 },
  );
});

test("no row length of discs by turns holds more sets than the one that is chosen", () => {
  const any = fc.record({
    largeMm: fc.integer({ min: 30, max: 110 }),
    smallMm: fc.integer({ min: 12, max: 60 }),
    widthMm: fc.integer({ min: 120, max: 900 }),
    heightMm: fc.integer({ min: 120, max: 900 }),
    webMm: fc.constantFrom(0, 1, 3),
  });
  fc.assert(
    fc.property(any, ({ largeMm: d, smallMm: e, widthMm, heightMm, webMm }) => {
      fc.pre(d >= e);
      // Counted row by row down the sheet, nothing left out.
      let most = 0;
      for (let perRow = 1; d + (perRow - 1) * (d + webMm) <= widthMm; perRow++) {
        const spare = [
          perRow > 1 ? (widthMm - d) / (perRow - 1) : 0,
          (widthMm - (d + e) / 2) / (perRow - 0.5),
        ];
        for (const pitchMm of [d + webMm, ...spare].filter((mm) => mm >= d + webMm)) {
          const downMm = Math.sqrt(Math.max(((d + e) / 2 + webMm) ** 2 - (pitchMm / 2) ** 2, 0));
          const upMm = Math.max(downMm, d + webMm - downMm);
          const small = Math.min(Math.floor((widthMm - e / 2 - d / 2 - pitchMm / 2) / pitchMm) + 1, perRow);
          let [large, between] = [0, 0];
          for (let atMm = d / 2; atMm + d / 2 <= heightMm; atMm += downMm + upMm) {
            large += perRow;
            if (atMm + downMm + e / 2 <= heightMm) between += Math.max(small, 0);
          }
          most = Math.max(most, Math.min(large, between));
        }
      }
      const rows = alternateDiscs(d, e, { widthMm, heightMm }, webMm);
      expect(rows ? Math.min(rows.large.count, rows.small.count) : 0).toBeGreaterThanOrEqual(most);
    }),
  );
});

test("bands that are given no time hold a set whatever fits at all; with more of it never fewer, and all is cut apart", () => {
  let isCutShort = 0;
  const any = fc.record({
    cuts: fc.uniqueArray(fc.nat(outlines.length - 1), { minLength: 2, maxLength: 3 }),
    ratio: fc.integer({ min: 1, max: 4 }),
    widthMm: fc.integer({ min: 140, max: 420 }),
    heightMm: fc.integer({ min: 140, max: 420 }),
    mayTurn: fc.boolean(),
    steps: fc.nat(60),
  });
  fc.assert(
    fc.property(any, ({ cuts, ratio, widthMm, heightMm, mayTurn, steps }) => {
      const request = {
        outlines: cuts.map((at, i) => ({ outline: outlines[at]!, ratio: i === 0 ? ratio : 1, webMm: 2 })),
        ...{ sheet: { widthMm, heightMm }, marginMm: 5, mayTurn },
      };
      const [whole, none, some] = [Infinity, 0, steps].map((end) => {
        const laid = layOutTogether(request, Budget.ofSteps(end));
        return laid.ok ? laid.value : { parts: [], sets: 0 };
      }) as [SharedSheet, SharedSheet, SharedSheet];
      expect(none.sets > 0).toBe(whole.sets > 0);
      expect(some.sets).toBeGreaterThanOrEqual(none.sets);
      expect(some.sets).toBeLessThanOrEqual(whole.sets);
      if (none.sets < whole.sets) isCutShort++;
      const parts = none.parts.map((part, i) => {
        const { outline } = request.outlines[i]!;
        return { outline, placements: placeShared(part, outline, 2, 5) };
      });
      expect(checkSheet(request.sheet, 5, 2, parts)).toEqual([]);
    }),
    { numRuns: 16, seed: 5 },
  );
  expect(isCutShort).toBeGreaterThan(3);
});

test("nothing that goes together, or two on a round sheet, is said", () => {
  const pair = [
    { outline: outlines[0]!, webMm: 1, ratio: 1 },
    { outline: outlines[1]!, webMm: 1, ratio: 1 },
  ];
  expect(
    layOutTogether({ outlines: pair, sheet: { widthMm: 60, heightMm: 60 }, marginMm: 5, mayTurn: true }),
  ).toMatchObject({ ok: false });
  expect(
    refused(
      layOutTogether({
        outlines: pair,
        sheet: { widthMm: 400, heightMm: 400, shape: "oval" },
        marginMm: 5,
        mayTurn: true,
      }),
    ),
  ).toMatchObject({ words: expect.stringContaining("rectangle") });
});

test("what a few bands of two profiles say is never more than what all of them say", () => {
  const any = fc.record({
    at: fc.nat(outlines.length - 1),
    turnDeg: fc.double({ min: 0, max: 360, noNaN: true }),
    webMm: fc.constantFrom(0, 1.5),
    shiftMm: fc.double({ min: -90, max: 90, noNaN: true }),
    every: fc.integer({ min: 2, max: 20 }),
  });
  fc.assert(
    fc.property(any, ({ at, turnDeg, webMm, shiftMm, every }) => {
      const contour = toContour(outlines[at]!);
      const upper = computeProfile(contour, turnDeg, webMm);
      const lower = computeProfile(contour, turnDeg + 180, webMm);
      const whole = clearBelowMm(upper, lower, shiftMm);
      expect(clearBelowMm(upper, lower, shiftMm, every)).toBeLessThanOrEqual(whole);
    }),
  );
});

test.each([10, 14, 23])(
  "thousands of rounds of %d mm on a round sheet are as dense as rounds can be",
  (diameterMm) => {
    const sheet: SheetShape = { shape: "oval", widthMm: 1600, heightMm: 1600 };
    const laid = layOutRows({
      outline: { kind: "disc", diameterMm },
      sheet,
      webMm: 0,
      marginMm: 0,
      mayTurn: true,
    });
    if (!laid.ok) throw new Error("none");
    check(laid.value.outline, laid.value.placements.slice(0, 200), sheet, 0, 0);
    // Middles lie in a circle smaller by a radius, each alone in its hexagon.
    const middlesMm2 = Math.PI * ((1600 - diameterMm) / 2) ** 2;
    const hexagonMm2 = (Math.sqrt(3) / 2) * diameterMm ** 2;
    expect(laid.value.count / (middlesMm2 / hexagonMm2)).toBeCloseTo(1, 2);
  },
);

test("as many as are asked for are found whatever the time, also of an outline that was forgotten", () => {
  const asked = [outlines[0]!, outlines[1]!, outlines[2]!, outlines[7]!].map((outline) => {
    const request = {
      outline,
      sheet: { widthMm: 330, heightMm: 250 },
      webMm: 1.2,
      marginMm: 5,
      mayTurn: true,
    };
    const [whole, upright] = [request, { ...request, mayTurn: false }].map((each) => layOutRows(each));
    if (!whole!.ok || !upright!.ok) throw new Error("none");
    return { request, most: whole!.value.count, isTurned: whole!.value.count > upright!.value.count };
  });
  // Or turns would not be needed.
  expect(asked.filter(({ isTurned }) => isTurned).length).toBeGreaterThan(0);
  for (let i = 0; i < 70; i++) {
    const outline: Outline = { kind: "polygon", diameterMm: 60, sides: 5 };
    layOutRows({
      outline,
      sheet: { widthMm: 100, heightMm: 100 },
      webMm: i / 10,
      marginMm: 0,
      mayTurn: false,
    });
  }
  for (const { request, most } of asked) {
    const laid = layOutRows(request, Budget.ofSteps(0), most);
    expect(laid.ok && laid.value.count).toBe(most);
  }
});

test("rows that are given no time are rows all the same, whatever fits at all; with more of it they are never fewer", () => {
  let isCutShort = 0;
  fc.assert(
    fc.property(
      fc.nat(outlines.length - 1),
      sheets,
      fc.boolean(),
      fc.nat(30),
      (at, sheet, mayTurn, steps) => {
        const request = { outline: outlines[at]!, sheet, webMm: 2, marginMm: 5, mayTurn };
        const whole = layOutRows(request);
        const [none, some] = [rowsOf(request, 0), rowsOf(request, steps)];
        if (!whole.ok) return expect([none, some]).toEqual([null, null]);
        expect(none!.count).toBeGreaterThan(0);
        expect(some!.count).toBeGreaterThanOrEqual(none!.count);
        expect(some!.count).toBeLessThanOrEqual(whole.value.count);
        expect(rowsOf(request, Infinity)).toEqual(whole.value);
        check(outlines[at]!, none!.placements, sheet, 5, 2);
        if (none!.count < whole.value.count) isCutShort++;
      },
    ),
    { numRuns: 40, seed: 7 },
  );
  // Or the budget would be asked nowhere.
  expect(isCutShort).toBeGreaterThan(3);
});
