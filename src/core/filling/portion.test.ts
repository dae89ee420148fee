import fc from "fast-check";
import {
  advisePlumpness,
  bodies,
  computeJuiceShare,
  computePortion,
  computeSugarPerKgG,
  computeThickening,
  dividePortion,
  findScoop,
  findSpoons,
  findSugarLeadMin,
  type PieceExtra,
} from ".";
import type { FruitVariety } from "../formula";
import { refused } from "../words/__tests__/refused";

test.each([
  [37, "2½ tbsp"],
  [6, "1¼ tsp"],
  [0.4, "¼ tsp"],
  [15, "1 tbsp"],
  [0, "0 tsp"],
])("%d ml is %s", (volumeMl, spoons) => expect(findSpoons(volumeMl)).toBe(spoons));

test("a portion's mass is its room times the filling's density, and every tenth is weighed around it", () => {
  expect(computePortion(20, 1.25)).toMatchObject({ massG: 25, volumeMl: 20 });
  const { lowG, highG } = computePortion(41, 1);
  expect([Math.round(lowG), Math.round(highG)]).toEqual([38, 44]);
});

test("a scoop's number is how many of it make a quart, and none is named that is far off", () => {
  // 946 ml over 40 is 23.7 ml.
  expect(findScoop(24)).toMatchObject({ number: 40 });
  expect(findScoop(3)).toBeNull();
});

const densities: Record<string, number> = { main: 1.1, jam: 1.3, curd: 0.9 };
const divide = (layersMl: readonly number[], extras: readonly PieceExtra[]) =>
  dividePortion({ layersMl }, "main", extras, (id) => densities[id]);

test("layers, components and berries fill the room exactly, whatever they are", () => {
  const share = fc.double({ min: 0.05, max: 0.6, noNaN: true });
  fc.assert(
    fc.property(share, fc.integer({ min: 0, max: 6 }), (beside, count) => {
      const divided = divide(
        [4, 30],
        [
          { kind: "layer", fillingId: "jam", heightMm: 3 },
          { kind: "share", fillingId: "curd", share: beside },
          { kind: "inclusion", name: "hazelnut", count, eachG: 1, gPerMl: 0.9 },
        ],
      );
      if (!divided.ok) throw new Error(divided.failure.code);
      const { parts, displacedMl } = divided.value;
      const filledMl = parts.reduce((sum, { portion }) => sum + portion.volumeMl, 0);
      expect(filledMl + displacedMl).toBeCloseTo(34, 9);
      expect(displacedMl).toBeCloseTo(count / 0.9, 9);
    }),
  );
});

test("two fillings over one order share the pieces, not the room; sauce takes none of it", () => {
  const divided = divide(
    [20],
    [
      { kind: "alternate", fillingId: "curd", share: 0.25 },
      { kind: "sauce", fillingId: "jam", eachG: 26, perPan: 4 },
    ],
  );
  if (!divided.ok) throw new Error(divided.failure.code);
  expect(divided.value.parts.map(({ role, ofPieces, portion }) => [role, ofPieces, portion.massG])).toEqual([
    ["main", 0.75, 22],
    ["alternate", 0.25, 18],
    ["sauce", 1, 26],
  ]);
});

test("berries that take all the room and shares of the whole are refused", () => {
  const berries = (count: number): PieceExtra[] => [
    { kind: "inclusion", name: "berry", count, eachG: 2, gPerMl: 1 },
  ];
  expect(divide([10], berries(4)).ok).toBe(true);
  expect(refused(divide([10], berries(5)))).toMatchObject({ code: "noRoom" });
  expect(refused(divide([10], [{ kind: "share", fillingId: "jam", share: 1 }]))).toMatchObject({
    code: "sharesTooLarge",
  });
  expect(refused(divide([10], [{ kind: "share", fillingId: "gone", share: 0.5 }]))).toMatchObject({
    code: "unknownFilling",
  });
});

test("fruit that shrinks and a dough that lifts start plumper, a filling that boils leaner", () => {
  const still = { shrinkShare: 0, wetness: "moist", doughLifts: false } as const;
  const { lean, plump } = advisePlumpness(still);
  expect(lean).toBeLessThan(plump);
  expect(advisePlumpness({ ...still, shrinkShare: 0.3 }).plump).toBeGreaterThan(plump);
  expect(advisePlumpness({ ...still, doughLifts: true }).plump).toBeGreaterThan(plump);
  expect(advisePlumpness({ ...still, wetness: "wet" }).plump).toBeLessThan(plump);
});

test("what is stirred in brings the batch to the body asked for, and no more", () => {
  const request = { waterG: 500, starchG: 5, thickener: "flour", hasYolk: true } as const;
  for (const body of bodies) {
    const { addG } = computeThickening({ ...request, body });
    // Flour counts half.
    const after = computeThickening({ ...request, body, starchG: 5 + addG / 2 });
    expect(after.addG).toBeCloseTo(0, 9);
    if (addG > 0) expect(after.presentBody).toBe(body);
  }
  expect(computeThickening({ ...request, body: "mounds" }).addG).toBeCloseTo((6 * 5 - 5) * 2, 9);
  expect(computeThickening({ ...request, thickener: "cornStarch", body: "mounds" }).boilMin).toBe(2);
});

const firm: FruitVariety = { name: "firm", share: 1, tartness: "tart", isSoft: false };
const soft: FruitVariety = { name: "soft", share: 1, tartness: "sweet", isSoft: true };

test("a mixture wants the sugar of its parts, and softer fruit runs sooner", () => {
  expect(computeSugarPerKgG([firm, soft])).toBe(
    (computeSugarPerKgG([firm]) + computeSugarPerKgG([soft])) / 2,
  );
  expect(computeJuiceShare([firm], 0)).toBe(0);
  expect(findSugarLeadMin([soft])).toBeLessThan(findSugarLeadMin([firm, soft]));
  const lead = findSugarLeadMin([firm]);
  expect(computeJuiceShare([firm], lead)).toBeLessThanOrEqual(0.03);
  expect(computeJuiceShare([firm], lead + 1)).toBeGreaterThan(0.03);
});
