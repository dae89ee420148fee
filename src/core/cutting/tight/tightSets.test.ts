import fc from "fast-check";
import {
  boundSets,
  checkSheet,
  countNeeds,
  countSets,
  layOutTogether,
  searchTightDiscs,
  searchTightOutlines,
  type TightProgress,
} from "..";
import type { Outline, SheetShape } from "../../shape";

type Discs = Parameters<typeof searchTightDiscs>[0]["discs"];

/** Runs a search until it is done, has so many sets, or has made so many attempts. */
function search(turns: Generator<TightProgress, TightProgress>, attempts: number, enough = Infinity) {
  for (;;) {
    const { value, done } = turns.next();
    if (done || value.attempts >= attempts || value.sets >= enough) return value;
  }
}

const toOutline = (diameterMm: number): Outline => ({ kind: "disc", diameterMm });
const square = (sideMm: number): SheetShape => ({ widthMm: sideMm, heightMm: sideMm });
const round = (acrossMm: number): SheetShape => ({
  shape: "oval",
  widthMm: acrossMm,
  heightMm: acrossMm,
});

const [R, r] = [60, 37];
/** Around a round of radius R so many of radius r that each touches the next. */
const ringRadius = (count: number) => (R * Math.sin(Math.PI / count)) / (1 - Math.sin(Math.PI / count));
/** Sets whose least sheet has a closed form: the sheet's side or diameter. */
const closedForms: readonly {
  name: string;
  discs: Discs;
  leastMm: number;
  toSheet: (mm: number) => SheetShape;
}[] = [
  {
    name: "a large and a small one on a square's diagonal",
    discs: [
      { diameterMm: 2 * R, ratio: 1 },
      { diameterMm: 2 * r, ratio: 1 },
    ],
    leastMm: (R + r) * (1 + Math.SQRT1_2),
    toSheet: square,
  },
  {
    name: "four large ones and one in their middle",
    discs: [
      { diameterMm: 2 * R * (Math.SQRT2 - 1), ratio: 1 },
      { diameterMm: 2 * R, ratio: 4 },
    ],
    leastMm: 4 * R,
    toSheet: square,
  },
  {
    name: "one large one and one in each corner",
    discs: [
      { diameterMm: 2 * R, ratio: 1 },
      { diameterMm: 2 * R * (3 - 2 * Math.SQRT2), ratio: 4 },
    ],
    leastMm: 2 * R,
    toSheet: square,
  },
  {
    name: "two side by side in a round",
    discs: [
      { diameterMm: 2 * R, ratio: 1 },
      { diameterMm: 2 * r, ratio: 1 },
    ],
    leastMm: 2 * (R + r),
    toSheet: round,
  },
  {
    name: "nine around one in a round",
    discs: [
      { diameterMm: 2 * R, ratio: 1 },
      { diameterMm: 2 * ringRadius(9), ratio: 9 },
    ],
    leastMm: 2 * (R + 2 * ringRadius(9)),
    toSheet: round,
  },
];

test.each(closedForms)(
  "$name: found on the sheet the closed form asks for, not on one a hair smaller",
  (set) => {
    const { discs, leastMm, toSheet } = set;
    // The tangents that stand for a round's edge stray by 0.15 ‰ of its radius.
    const sheet = toSheet(leastMm * (1 + 4e-4));
    const found = search(searchTightDiscs({ discs, sheet, webMm: 0, marginMm: 0, seed: 3 }), 1500, 1);
    expect(found.sets).toBe(1);
    const parts = discs.map(({ diameterMm }, i) => ({
      outline: toOutline(diameterMm),
      placements: found.parts[i]!,
    }));
    expect(checkSheet(sheet, 0, 0, parts)).toEqual([]);
    expect(parts.map(({ placements }) => placements.length)).toEqual(discs.map(({ ratio }) => ratio));
    const tighter = { discs, sheet: toSheet(leastMm * 0.997), webMm: 0, marginMm: 0, seed: 3 };
    expect(search(searchTightDiscs(tighter), 120).sets).toBe(0);
  },
);

test("pairs of one size are the best known of that size, halved", () => {
  // Ten and fourteen equal circles in a square: the least distances best known (tight.test.ts names the source).
  for (const [count, distance] of [
    [10, 0.421279543984],
    [14, 0.348915260374],
  ] as const) {
    const discs = [
      { diameterMm: 100, ratio: 1 },
      { diameterMm: 100, ratio: 1 },
    ];
    const request = {
      discs,
      sheet: square(100 * (1 + 1 / distance) * (1 + 1e-7)),
      webMm: 0,
      marginMm: 0,
      seed: 1,
    };
    expect(search(searchTightDiscs(request), 1500, count / 2).sets).toBe(count / 2);
  }
});

test("base and lid of a pie: a pair beyond what bands give on many sheets, never fewer, webs kept", () => {
  const mm = (min: number, max: number) => fc.integer({ min, max });
  let [better, tried] = [0, 0];
  fc.assert(
    fc.property(mm(60, 95), mm(6, 14), mm(300, 440), mm(260, 340), mm(0, 3), (small, more, w, h, webMm) => {
      const sheet = { widthMm: w, heightMm: h };
      const discs = [
        { diameterMm: small + more, ratio: 1 },
        { diameterMm: small, ratio: 1 },
      ];
      const outlines = discs.map(({ diameterMm }) => ({ outline: toOutline(diameterMm), ratio: 1, webMm }));
      const bands = layOutTogether({ outlines, sheet, marginMm: 6, mayTurn: true });
      const found = search(searchTightDiscs({ discs, sheet, webMm, marginMm: 6, seed: 2 }), 60);
      tried++;
      expect(found.sets).toBeGreaterThanOrEqual(bands.ok ? bands.value.sets : 0);
      expect(found.sets).toBeLessThanOrEqual(boundSets(outlines, sheet, webMm, 6));
      if (found.sets > found.rowsSets) better++;
      const parts = outlines.map(({ outline }, i) => ({ outline, placements: found.parts[i]! }));
      expect(checkSheet(sheet, 6, webMm, parts)).toEqual([]);
    }),
    { numRuns: 8, seed: 4 },
  );
  expect(better).toBeGreaterThanOrEqual(tried / 4);
});

test("ovals with their square lids: whole sets, inside, apart, and the seed repeats", () => {
  const outlines = [
    { outline: { kind: "oval", widthMm: 90, heightMm: 60 } as const, ratio: 2 },
    { outline: { kind: "square", sideMm: 48 } as const, ratio: 1 },
  ];
  const request = {
    outlines,
    sheet: { widthMm: 420, heightMm: 310 },
    webMm: 2,
    marginMm: 8,
    mayTurn: true,
    seed: 5,
  };
  const run = () => search(searchTightOutlines(request), 4);
  const found = run();
  expect(found.sets).toBeGreaterThanOrEqual(found.rowsSets);
  expect(found.sets).toBeGreaterThan(0);
  const parts = outlines.map(({ outline }, i) => ({ outline, placements: found.parts[i]! }));
  expect(checkSheet(request.sheet, 8, 2, parts)).toEqual([]);
  expect(parts[0]!.placements.length).toBeGreaterThanOrEqual(2 * found.sets);
  expect(run()).toEqual(found);
});

test("so many sets need so many of each, and so many of each make those sets again", () => {
  const ratio = fc.double({ min: 0.01, max: 40, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(ratio, { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 0, max: 400 }),
      (list, sets) => {
        const each = list.map((value) => ({ ratio: value }));
        const counts = countNeeds(each)(sets);
        expect(countSets(each, counts)).toBe(sets);
        expect(Math.min(...counts)).toBe(sets);
        // One fewer of any is a set short.
        counts.forEach((count, i) => {
          if (count > 0) expect(countSets(each, counts.with(i, count - 1))).toBeLessThan(sets);
        });
      },
    ),
  );
});
