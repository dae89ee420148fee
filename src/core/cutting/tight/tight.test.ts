import fc from "fast-check";
import { toCutRequest } from "../yield/computeYield";
import {
  computeYield,
  findThicknessFor,
  layOutParts,
  layOutRows,
  planCuts,
  planYield,
  checkSheet,
  searchTightDiscs,
  craftHandTimes,
  type TightProgress,
  type TightRequest,
  type YieldRequest,
} from "..";

/**
 * Largest least distance of n points in the unit square, best known (n = 2–9 and some others are proven).
 * @see Szabó, Markót, Csendes, Specht, Casado & García, New Approaches to Circle Packing in a Square (2007), table 1.
 */
const bestKnown: readonly (readonly [number, number])[] = [
  [5, 0.707106781187],
  [7, 0.535898384862],
  [8, 0.517638090205],
  [10, 0.421279543984],
  [11, 0.398207310237],
  [13, 0.366096007696],
  [14, 0.348915260374],
  [17, 0.3061539853],
  [20, 0.286611652352],
  [21, 0.271812255359],
  [24, 0.25433309503],
  [30, 0.224502964531],
];

/** Rounds of one size only. */
const one = (diameterMm: number) => ({ discs: [{ diameterMm, ratio: 1 }] });

/** Runs a search until it is done or has made so many attempts. */
function search(request: TightRequest, attempts: number, enough = Infinity): TightProgress {
  const turns = searchTightDiscs(request);
  for (;;) {
    const { value, done } = turns.next();
    if (done || value.attempts >= attempts || value.sets >= enough) return value;
  }
}

/** Independent of the search: no two nearer than allowed, all inside the ragged edge. */
function check({ parts: [placements = []] }: TightProgress, request: TightRequest): void {
  const { sheet, webMm, marginMm } = request;
  const { diameterMm } = request.discs[0]!;
  const rim = marginMm + diameterMm / 2 - 2e-6;
  placements.forEach(({ xMm, yMm }, i) => {
    expect(Math.min(xMm, yMm)).toBeGreaterThanOrEqual(rim);
    expect(xMm).toBeLessThanOrEqual(sheet.widthMm - rim);
    expect(yMm).toBeLessThanOrEqual(sheet.heightMm - rim);
    for (const other of placements.slice(i + 1)) {
      expect(Math.hypot(xMm - other.xMm, yMm - other.yMm)).toBeGreaterThanOrEqual(diameterMm + webMm - 2e-6);
    }
  });
}

/**
 * Least radius of a circle around n circles of radius 1, best known (n ≤ 13 and 19 are proven).
 * @see Graham, Lubachevsky, Nurmela & Östergård, Dense packings of congruent circles in a circle, Discrete Mathematics
 * 181 (1998), table 1.
 */
const aroundCircles: readonly (readonly [number, number])[] = [
  [2, 2],
  [3, 2.1547],
  [4, 2.4142],
  [5, 2.7013],
  [6, 3],
  [7, 3],
  [8, 3.3048],
  [9, 3.6131],
  [10, 3.813],
  [11, 3.9238],
  [12, 4.0296],
  [13, 4.2361],
  [14, 4.3284],
  [15, 4.5214],
  [16, 4.6154],
  [17, 4.792],
  [18, 4.8637],
  [19, 4.8637],
  [20, 5.1223],
];

const roundSheet = (acrossMm: number) => ({ shape: "oval", widthMm: acrossMm, heightMm: acrossMm }) as const;

test("the best known counts of equal circles in a circle are reached, and none that is proven not to be", () => {
  const plain = { ...one(60), webMm: 0, marginMm: 0, seed: 2 };
  for (const [count, radii] of aroundCircles) {
    // The table's last figure, and the tangents that stand for the edge.
    const request = { ...plain, sheet: roundSheet(60 * radii * (1 + 2.5e-4)) };
    const found = search(request, 400, count);
    expect(found.sets).toBeGreaterThanOrEqual(count);
    expect(
      checkSheet(request.sheet, 0, 0, [
        { outline: { kind: "disc", diameterMm: 60 }, placements: found.parts[0]! },
      ]),
    ).toEqual([]);
    if (count > 10 || count === 6) continue;
    const tighter = search({ ...plain, sheet: roundSheet(60 * radii * 0.998) }, 60, count);
    expect(tighter.sets).toBeLessThan(count);
  }
});

test("rows or rings come within one of the best known in a circle, up to twenty", () => {
  const outline = { kind: "disc", diameterMm: 60 } as const;
  const near = aroundCircles.filter(([count, radii]) => {
    const sheet = roundSheet(60 * radii * (1 + 2.5e-4));
    const rows = layOutRows({ outline, sheet, webMm: 0, marginMm: 0, mayTurn: true });
    if (!rows.ok) return false;
    const { placements } = rows.value;
    expect(checkSheet(sheet, 0, 0, [{ outline, placements }])).toEqual([]);
    // Six and seven, eighteen and nineteen ask for the same sheet.
    if (count !== 6 && count !== 18) expect(placements.length).toBeLessThanOrEqual(count);
    return placements.length >= count - 1;
  });
  expect(near).toEqual(aroundCircles);
});

test("rows of one sheet by itself: 22 where 24 are the best known in a square, never more than those, never fewer than a plan's rows", () => {
  const outline = { kind: "disc", diameterMm: 100 } as const;
  for (const [count, distance] of bestKnown) {
    const sideMm = 100 * (1 + 1 / distance) * (1 + 1e-7);
    const request = { sheet: { widthMm: sideMm, heightMm: sideMm }, webMm: 0, marginMm: 0, mayTurn: true };
    const laid = layOutParts({ ...request, mode: "rows", outlines: [{ outline, ratio: 1 }], seed: 1 });
    const rows = layOutRows({ ...request, outline });
    if (!laid.ok || !rows.ok) throw new Error("nothing fits");
    expect(checkSheet(request.sheet, 0, 0, laid.value.parts)).toEqual([]);
    expect(laid.value.count).toBeLessThanOrEqual(count);
    expect(laid.value.count).toBeGreaterThanOrEqual(rows.value.count);
    if (count === 24) expect(laid.value.count).toBeGreaterThanOrEqual(22);
  }
});

test("on oval sheets too: inside the edge, apart, never fewer than rows or more than the bound", () => {
  const mm = (min: number, max: number) => fc.integer({ min, max });
  fc.assert(
    fc.property(
      mm(180, 420),
      mm(180, 420),
      mm(45, 110),
      mm(0, 4),
      mm(0, 12),
      (wide, high, diameterMm, webMm, marginMm) => {
        const sheet = { shape: "oval", widthMm: wide, heightMm: high } as const;
        const found = search({ sheet, ...one(diameterMm), webMm, marginMm, seed: 5 }, 5);
        const { rowsSets, upperBound } = found;
        const placements = found.parts[0]!;
        expect(
          checkSheet(sheet, marginMm, webMm, [{ outline: { kind: "disc", diameterMm }, placements }]),
        ).toEqual([]);
        expect(placements.length).toBeGreaterThanOrEqual(rowsSets);
        expect(placements.length).toBeLessThanOrEqual(upperBound);
      },
    ),
    { numRuns: 15, seed: 8 },
  );
});

test("the best known counts of equal circles in a square are reached", () => {
  for (const [count, distance] of bestKnown) {
    // Rounded up by a ten-millionth, since the table is rounded too.
    const sideMm = 100 * (1 + 1 / distance) * (1 + 1e-7);
    const request = {
      ...one(100),
      sheet: { widthMm: sideMm, heightMm: sideMm },
      webMm: 0,
      marginMm: 0,
      seed: 1,
    };
    const found = search(request, 1500, count);
    expect([count, found.sets]).toEqual([count, count]);
    check(found, request);
  }
});

test("thousands of rounds: a turn is a part of an attempt and what it gives is whole, so that a clock can be kept", () => {
  const request = { ...one(10), sheet: { widthMm: 505, heightMm: 503 }, webMm: 0, marginMm: 0, seed: 1 };
  const turns = searchTightDiscs(request);
  for (let turn = 0; turn < 6; turn++) {
    const { value, done } = turns.next();
    expect(done).toBe(false);
    expect(value.attempts).toBe(0);
    expect(value.parts[0]).toHaveLength(value.rowsSets);
  }
});

test("on any sheet: never fewer than rows, never more than the bound, nothing overlaps, the seed repeats", () => {
  const length = (min: number, max: number) => fc.integer({ min, max });
  fc.assert(
    fc.property(
      length(40, 120),
      length(150, 420),
      length(150, 420),
      length(0, 6),
      length(0, 12),
      (d, w, h, webMm, marginMm) => {
        const request = { ...one(d), sheet: { widthMm: w, heightMm: h }, webMm, marginMm, seed: 3 };
        const found = search(request, 6);
        expect(found.sets).toBeGreaterThanOrEqual(found.rowsSets);
        expect(found.sets).toBeLessThanOrEqual(found.upperBound);
        check(found, request);
        expect(search(request, 6)).toEqual(found);
      },
    ),
    { numRuns: 25 },
  );
});

const base: YieldRequest = {
  doughG: 3000,
  outline: { kind: "disc", diameterMm: 90 },
  thicknessMm: 3.5,
  densityGPerMl: 1.2,
  webMm: 2,
  marginMm: 8,
  sheetLimit: { widthMm: 620, heightMm: 430 },
  rerollLimit: 2,
  rerollLossShare: 0.02,
  rerollShrinkShare: 0.01,
  mayTurn: true,
  handTimes: craftHandTimes,
};

test("what a dough makes needs no more dough than there is, and a plan for so many agrees", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 150, max: 6000 }),
      fc.integer({ min: 0, max: 2 }),
      (doughG, rerollLimit) => {
        const request = { ...base, doughG, rerollLimit };
        const { count, lowCount, highCount, firstCount } = computeYield(request);
        expect(lowCount).toBeLessThanOrEqual(count);
        expect(highCount).toBeGreaterThanOrEqual(count);
        expect(firstCount).toBeLessThanOrEqual(count);
        const plan = planYield(request);
        expect(plan?.yields[0]?.count ?? 0).toBe(count);
        if (!plan) return;
        expect(plan.doughG).toBeCloseTo(doughG, 6);
        expect(Math.abs(plan.doughG - plan.blanksG - plan.trimLeftG - plan.lossG)).toBeLessThan(
          1e-9 * doughG,
        );
        // Asked the other way round, so many cuts ask for about that dough: the slack of the answers, and dough that
        // is never rolled but joins the trim, which only a given mass leaves over.
        const asked = planCuts(toCutRequest({ ...base, rerollLimit }, count));
        if (asked.ok) expect(asked.value.leastDough.doughG).toBeLessThan(doughG * 1.08);
      },
    ),
    { numRuns: 40 },
  );
});

test("thinner makes more; a thickness for an exact count gives it; too little dough makes none", () => {
  const at = (thicknessMm: number) => computeYield({ ...base, thicknessMm }).count;
  expect([5, 4, 3, 2].map(at)).toEqual([5, 4, 3, 2].map(at).toSorted((a, b) => a - b));
  const wanted = at(3.3);
  const span = findThicknessFor(base, wanted, { fromMm: 2, toMm: 6 })!;
  expect(span.fromMm).toBeLessThanOrEqual(3.3);
  for (const thicknessMm of [span.fromMm, span.toMm]) expect(at(thicknessMm)).toBe(wanted);
  expect(findThicknessFor(base, 4000, { fromMm: 2, toMm: 6 })).toBeNull();
  expect(computeYield({ ...base, doughG: 10 })).toEqual({
    count: 0,
    firstCount: 0,
    lowCount: 0,
    highCount: 0,
  });
});
