import fc from "fast-check";
import { computeAreaMm2, computeSheetAreaMm2, outerOutline, type Outline, type SheetShape } from "../shape";
import {
  checkCutPlan,
  checkSheet,
  craftHandTimes,
  layOutParts,
  planCuts,
  searchTight,
  toLaidParts,
  type CutRequest,
  type PartsRequest,
} from ".";

const mm = (min: number, max: number) => fc.integer({ min, max });
const outlines: fc.Arbitrary<Outline> = fc.oneof(
  fc.record({ kind: fc.constant("disc" as const), diameterMm: mm(20, 140) }),
  fc.record({ kind: fc.constant("square" as const), sideMm: mm(20, 140) }),
  fc.record({ kind: fc.constant("rectangle" as const), widthMm: mm(20, 140), heightMm: mm(20, 140) }),
  fc.record({ kind: fc.constant("triangle" as const), legMm: mm(30, 140) }),
  fc.record({ kind: fc.constant("oval" as const), widthMm: mm(20, 140), heightMm: mm(20, 140) }),
  fc.record({ kind: fc.constant("star" as const), diameterMm: mm(30, 120), points: mm(4, 8) }),
  fc.record({ kind: fc.constant("polygon" as const), diameterMm: mm(30, 120), sides: mm(3, 8) }),
  fc.record({ kind: fc.constant("scalloped" as const), diameterMm: mm(40, 120), lobes: mm(6, 14) }),
  fc.record({ kind: fc.constant("heart" as const), widthMm: mm(30, 120), heightMm: mm(30, 120) }),
  fc.record({ kind: fc.constant("leaf" as const), widthMm: mm(30, 120), heightMm: mm(14, 30) }),
);
const sheets: fc.Arbitrary<SheetShape> = fc.record({
  shape: fc.constantFrom("rectangle" as const, "rectangle" as const, "oval" as const),
  widthMm: mm(160, 380),
  heightMm: mm(160, 280),
});
const requests: fc.Arbitrary<PartsRequest> = fc.record({
  mode: fc.constantFrom("rows" as const, "wheel" as const, "nested" as const, "tight" as const),
  sheet: sheets,
  outlines: fc
    .array(outlines, { minLength: 1, maxLength: 2 })
    .map((list) => list.map((outline) => ({ outline, ratio: 1 }))),
  webMm: fc.constantFrom(0, 0, 1, 3),
  marginMm: fc.constantFrom(0, 5, 12),
  mayTurn: fc.boolean(),
  seed: fc.integer({ min: 0, max: 1000 }),
});

test("whatever is laid out on whatever sheet in whatever way, nothing overlaps, nothing leaves it, webs are kept", () => {
  let laid = 0;
  fc.assert(
    fc.property(requests, (request) => {
      const { sheet, marginMm, webMm } = request;
      if (request.mode === "tight") {
        const search = searchTight(request);
        let { value, done } = search.next();
        while (!done && value.attempts < 1) ({ value, done } = search.next());
        expect(checkSheet(sheet, marginMm, webMm, toLaidParts(request, value).parts)).toEqual([]);
        expect(value.sets).toBeGreaterThanOrEqual(value.rowsSets);
        expect(value.sets).toBeLessThanOrEqual(value.upperBound);
        for (const { length } of value.parts) expect(length).toBeGreaterThanOrEqual(value.sets);
        return;
      }
      const answer = layOutParts(request);
      if (!answer.ok) return;
      laid++;
      expect(checkSheet(sheet, marginMm, webMm, answer.value.parts)).toEqual([]);
      const usedMm2 = answer.value.parts.reduce(
        (sum, { outline, count }) => sum + count * computeAreaMm2(outerOutline(outline)),
        0,
      );
      expect(usedMm2).toBeLessThanOrEqual(computeSheetAreaMm2(sheet) * (1 + 1e-9));
    }),
    { numRuns: 30, seed: 17 },
  );
  expect(laid).toBeGreaterThan(12);
});

test("without a web nested cuts lie in the gaps and not over each other, tight triangles no more than there is room for", () => {
  const sheet = { widthMm: 430, heightMm: 330 };
  const base = { sheet, webMm: 0, marginMm: 0, mayTurn: true, seed: 1 } as const;
  const nested = layOutParts({
    ...base,
    mode: "nested",
    outlines: [
      { outline: { kind: "square", sideMm: 80 }, ratio: 1 },
      { outline: { kind: "rectangle", widthMm: 40, heightMm: 20 }, ratio: 1 },
    ],
  });
  if (!nested.ok) throw new Error(nested.failure.code);
  const [squares, small] = nested.value.parts;
  expect(squares!.count).toBe(20);
  // What the squares leave: 430 · 330 − 20 · 80², in pieces of 40 × 20.
  expect(small!.count).toBeLessThanOrEqual(Math.floor((430 * 330 - 20 * 6400) / 800));
  expect(small!.count).toBeGreaterThan(0);
  expect(checkSheet(sheet, 0, 0, nested.value.parts)).toEqual([]);
  const triangles = { ...base, sheet: { widthMm: 620, heightMm: 430 }, mode: "tight" as const };
  const search = searchTight({
    ...triangles,
    outlines: [{ outline: { kind: "triangle", legMm: 80 }, ratio: 1 }],
  });
  let { value, done } = search.next();
  while (!done && value.attempts < 1) ({ value, done } = search.next());
  expect(value.sets).toBeLessThanOrEqual(value.upperBound);
  expect(
    checkSheet(triangles.sheet, 0, 0, [
      { outline: { kind: "triangle", legMm: 80 }, placements: value.parts[0]! },
    ]),
  ).toEqual([]);
});

test.each([
  ["rounds", [{ outline: { kind: "disc", diameterMm: 90 }, ratio: 1 }]],
  ["hearts", [{ outline: { kind: "heart", widthMm: 90, heightMm: 80 }, ratio: 1 }]],
  [
    "sets",
    [
      { outline: { kind: "disc", diameterMm: 90 }, ratio: 1 },
      { outline: { kind: "leaf", widthMm: 60, heightMm: 30 }, ratio: 2 },
    ],
  ],
] as const)("a search of %s that is given its rows goes as one that lays them", (_name, outlines) => {
  const request: PartsRequest = {
    ...{ mode: "tight" as const, outlines, webMm: 2, marginMm: 5, mayTurn: true, seed: 4 },
    sheet: { widthMm: 430, heightMm: 330 },
  };
  const laid = layOutParts(request);
  if (!laid.ok) throw new Error(laid.failure.code);
  const [alone, given] = [searchTight(request), searchTight(request, laid.value)];
  for (let turn = 0; turn < 40; turn++) expect(given.next()).toEqual(alone.next());
});

describe("the checker sees", () => {
  const disc = { kind: "disc", diameterMm: 60 } as const;
  const at = (xMm: number, yMm: number) => ({ xMm, yMm, angleDeg: 0 });
  const see = (
    placements: ReturnType<typeof at>[],
    webMm = 0,
    sheet: SheetShape = { widthMm: 200, heightMm: 100 },
  ) => checkSheet(sheet, 5, webMm, [{ outline: disc, placements }]).map(({ code }) => code);

  test("cuts that lie over each other, the same place twice included; touching is not that", () => {
    expect(see([at(50, 50), at(109, 50)])).toEqual(["overlap"]);
    expect(see([at(50, 50), at(50, 50)])).toEqual(["overlap"]);
    expect(see([at(50, 50), at(110, 50)])).toEqual([]);
  });

  test("cuts that are nearer than their web, and what leaves the sheet or an oval's end", () => {
    expect(see([at(50, 50), at(112, 50)], 3)).toEqual(["tooNear"]);
    expect(see([at(50, 50), at(113, 50)], 3)).toEqual([]);
    expect(see([at(34, 50)])).toEqual(["outside"]);
    expect(see([at(40, 35)], 0, { shape: "oval", widthMm: 200, heightMm: 100 })).toEqual(["outside"]);
    expect(see([at(100, 50)], 0, { shape: "oval", widthMm: 200, heightMm: 100 })).toEqual([]);
  });
});

test("every cut plan of random demands passes the checker; one that is tampered with does not", () => {
  const demands = fc
    .array(
      fc.record({ outline: outlines, count: fc.integer({ min: 1, max: 60 }), webMm: fc.constantFrom(0, 1) }),
      {
        minLength: 1,
        maxLength: 3,
      },
    )
    .map((list) =>
      list.map((demand, i) => ({
        ...demand,
        id: `d${i}`,
        marginMm: 6,
        isVisible: i === 0,
        keepsCentre: true,
        keepsSurplus: list.length === 1,
      })),
    );
  fc.assert(
    fc.property(demands, fc.integer({ min: 0, max: 2 }), fc.boolean(), (list, rerollLimit, mayTurn) => {
      const request: CutRequest = {
        demands: list,
        thicknessMm: 3,
        densityGPerMl: 1.2,
        sheetLimit: { widthMm: 480, heightMm: 360 },
        rerollLimit,
        rerollLossShare: 0.02,
        rerollShrinkShare: 0.01,
        mayTurn,
        handTimes: craftHandTimes,
        tearSharePer100Mm: 0,
        pinnedSheet: null,
        boughtSheet: null,
        decoration: null,
      };
      const answers = planCuts(request);
      if (!answers.ok) return;
      for (const plan of Object.values(answers.value)) {
        expect(checkCutPlan(request, plan)).toEqual([]);
        const short = { ...plan, yields: plan.yields.map((each) => ({ ...each, count: each.count - 1000 })) };
        expect(checkCutPlan(request, short).map(({ code }) => code)).toContain("tooFew");
        expect(checkCutPlan(request, { ...plan, lossG: plan.lossG + 1 }).map(({ code }) => code)).toContain(
          "notBalanced",
        );
      }
    }),
    { numRuns: 6, seed: 3 },
  );
});
