import fc from "fast-check";
import {
  findGatheredBlankMm,
  findLining,
  formPiece,
  type FormedPiece,
  type FormRequest,
  type Mould,
} from ".";
import { computeBox } from "../shape";
import { frustumMl } from "./formLined";
import { outlineFruit } from "./formWrapped";
import { refused } from "../words/__tests__/refused";

const base: FormRequest = {
  form: { kind: "halfMoon" },
  cut: { kind: "disc", diameterMm: 120 },
  thicknessMm: 3,
  springBackShare: 0,
  marginMm: 10,
  plumpness: 1,
  layersMm: [],
};
function formed(request: FormRequest): FormedPiece {
  const piece = formPiece(request);
  if (!piece.ok) throw new Error(piece.failure.code);
  return piece.value;
}
const refusal = (request: FormRequest) => refused(formPiece(request));
const share = (min: number) => fc.double({ min, max: 1, noNaN: true });

/** Straight sides, for which everything is known in closed form. */
const cup: Mould = { kind: "round", axes: [{ baseMm: 70, rimMm: 70 }], depthMm: 30, fluteMm: 0 };
const sloped: Mould = { kind: "muffin", axes: [{ baseMm: 50, rimMm: 72 }], depthMm: 28, fluteMm: 0 };
const lined = (mould: Mould, over: Partial<FormRequest> = {}): FormRequest => {
  const thin = { thicknessMm: 2.5, springBackShare: 0.04, ...over };
  return {
    ...base,
    ...thin,
    form: { kind: "lined", mould, topping: { kind: "open" } },
    cut: findLining(mould, thin, 3),
    ...over,
  };
};

test("a frustum is the closed form, round and elliptic", () => {
  const [r, R, h] = [20, 30, 25];
  expect(frustumMl([2 * r], [2 * R], h)).toBeCloseTo((Math.PI * h * (R * R + R * r + r * r)) / 3000, 9);
  // ∫ π a b over a straight-sided oval: πh (2ab + aB + bA + 2AB) / 6.
  const [a, b, A, B] = [20, 12, 30, 25];
  const exact = (Math.PI * h * (2 * a * b + a * B + b * A + 2 * A * B)) / 6000;
  expect(frustumMl([2 * a, 2 * b], [2 * A, 2 * B], h)).toBeCloseTo(exact, 9);
});

test("thin dough in a straight mould leaves the cylinder, and its mass is kept", () => {
  const thin = formed(lined(cup, { thicknessMm: 1e-4, springBackShare: 0 }));
  expect(thin.capacityMl).toBeCloseTo((Math.PI * 35 ** 2 * 30) / 1000, 2);
  fc.assert(
    fc.property(fc.double({ min: 1.5, max: 4, noNaN: true }), share(0.1), (thicknessMm, plumpness) => {
      const piece = formed(lined(sloped, { thicknessMm, plumpness }));
      const less = formed(lined(sloped, { thicknessMm, plumpness: plumpness * 0.9 }));
      expect(piece.capacityMl).toBeGreaterThan(less.capacityMl);
      expect(piece.capacityMl).toBeLessThanOrEqual(piece.mostMl + 1e-9);
      expect(piece.trimMl).toBeGreaterThan(0);
    }),
    { numRuns: 40 },
  );
});

test("a core as wide as its fruit and flutes as deep as their mould are refused, not reckoned with", () => {
  const cored = (coreMm: number) =>
    refusal({
      ...base,
      form: { kind: "wrapped", fruitMm: 50, fruitHeightMm: 50, footMm: 10, coreMm, overlapMm: 8 },
      cut: { kind: "square", sideMm: 200 },
    });
  expect(cored(30)).toBeNull();
  expect(cored(31)).toMatchObject({ code: "coreTooWide", words: expect.stringContaining("at most 30 mm") });
  const fluted = (fluteMm: number) => refusal(lined({ ...sloped, kind: "fluted", fluteMm }));
  expect(fluted(4)).toBeNull();
  expect(fluted(26)).toMatchObject({
    code: "flutesTooDeep",
    words: expect.stringContaining("at most 25 mm"),
  });
});

test("a lining a hair too small for its mould is pressed up, and one that tears so is refused with the round that reaches the rim", () => {
  const { widthMm: reachMm } = computeBox(findLining(sloped, { thicknessMm: 2.5, springBackShare: 0.04 }, 0));
  const cutTo = (diameterMm: number) => lined(sloped, { cut: { kind: "disc", diameterMm } });
  expect(refusal(cutTo(reachMm))).toBeNull();
  expect(formed(cutTo(reachMm)).doubts).toEqual([]);
  expect(formed(cutTo(reachMm - 0.6)).doubts).toEqual([expect.objectContaining({ code: "pressedUp" })]);
  expect(refusal(cutTo(reachMm / 2))).toMatchObject({
    code: "liningTooSmall",
    words: expect.stringContaining(`needs a round of ${reachMm} mm`),
  });
});

test("layers lie one on another up to the level and no higher", () => {
  const piece = formed(lined(sloped, { plumpness: 0.9, layersMm: [3, 8] }));
  expect(piece.layersMl).toHaveLength(3);
  expect(piece.layersMl.reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(piece.capacityMl, 9);
  const levelMm = Number(/of the (\d+) mm inside/.exec(piece.steps.at(-1)?.text ?? "")?.[1]);
  expect(levelMm).toBeGreaterThan(20);
  expect(refusal(lined(sloped, { plumpness: 0.5, layersMm: [14] }))).toMatchObject({ code: "layersTooHigh" });
  expect(refusal({ ...base, layersMm: [2] })).toMatchObject({ code: "layersNotLevel" });
});

test("a lid is cut beyond the rim, sealed along it and trimmed flush; a cut-out may not be wider", () => {
  const topped = (topping: Extract<FormRequest["form"], { kind: "lined" }>["topping"]) =>
    lined(cup, { form: { kind: "lined", mould: cup, topping }, springBackShare: 0 });
  const lid = formed(topped({ kind: "lid" }));
  expect(lid.seamMm).toBeCloseTo(Math.PI * 70, 9);
  expect(lid.blanks.map(({ role, isVisible }) => [role, isVisible])).toEqual([
    ["top", true],
    ["lining", false],
  ]);
  const open = formed(topped({ kind: "open" }));
  expect(lid.trimMl - open.trimMl).toBeCloseTo(((Math.PI / 4) * (76 ** 2 - 70 ** 2) * 2.5) / 1000, 6);
  const star = (diameterMm: number) =>
    topped({ kind: "cutOut", outline: { kind: "star", diameterMm, points: 5 } });
  expect(refusal(star(70))).toBeNull();
  expect(refusal(star(75))).toMatchObject({ code: "toppingTooWide" });
});

test("an oval mould with equal axes is a round one; a puck's slice is the dough of its disc", () => {
  const axis = { baseMm: 50, rimMm: 72 };
  const oval: Mould = { kind: "oval", axes: [axis, axis], depthMm: 28, fluteMm: 0 };
  expect(formed(lined(oval)).capacityMl).toBeCloseTo(formed(lined(sloped)).capacityMl, 9);
  const puck = formed({
    ...lined(sloped),
    form: { kind: "puck", mould: sloped, logMm: 50, stacked: 2, sheetMm: 3 },
  });
  expect(puck.trimMl).toBe(0);
  const { widthMm: across } = computeBox(findLining(sloped, { thicknessMm: 2.5, springBackShare: 0.04 }, 3));
  // Disc and slice have one volume: d² t = 50² s.
  expect(puck.steps[2]?.figure).toBe(`${((across ** 2 * 2.5) / 2500).toFixed(1)} mm`);
  // π 25² of log, out of two sheets of 3 mm.
  expect(puck.steps[1]?.figure).toBe(`${((Math.PI * 625) / 6).toFixed(0)} mm`);
});

test("a sphere is wrapped by the square whose half diagonal is half its girth", () => {
  const sphere = outlineFruit(35, 70, 0);
  expect(sphere.meridianMm).toBeCloseTo(Math.PI * 35, 3);
  expect(sphere.volumeMm3).toBeCloseTo((4 / 3) * Math.PI * 35 ** 3, 3);
  // Half a sphere on its flat.
  expect(outlineFruit(35, 35, 35 - 1e-9).volumeMm3).toBeCloseTo((2 / 3) * Math.PI * 35 ** 3, 0);
  const wrap = (sideMm: number): FormRequest => ({
    ...base,
    thicknessMm: 1e-6,
    form: { kind: "wrapped", fruitMm: 70, fruitHeightMm: 70, footMm: 0, coreMm: 14, overlapMm: 10 },
    cut: { kind: "square", sideMm },
  });
  const asSet = Math.ceil(2 * Math.SQRT2 * (Math.PI * 35 + 5)) / 2;
  expect(formed(wrap(asSet)).doubts).toEqual([]);
  expect(formed(wrap(asSet - 0.5)).doubts).toHaveLength(1);
  const needed = Math.ceil(2 * Math.SQRT2 * Math.PI * 35) / 2;
  expect(refusal(wrap(needed))).toBeNull();
  expect(refusal(wrap(needed - 0.5))).toMatchObject({
    code: "squareTooSmall",
    words: expect.stringContaining(`must be ${needed} mm`),
  });
});

const purse = (finishedMm: number, over: Partial<FormRequest> = {}): FormRequest => ({
  ...base,
  form: { kind: "gathered", finishedMm, heapMm: null },
  thicknessMm: 4,
  ...over,
});

test("rolling a purse keeps its volume, thins its top, and is refused where the top falls below 1.5 mm", () => {
  const volumeMl = (piece: FormedPiece) =>
    ((Math.PI / 4) * piece.finished.widthMm ** 2 * piece.finished.heightMm) / 1000;
  const doughMl = ((Math.PI / 4) * 120 ** 2 * 4) / 1000;
  for (const acrossMm of [45, 50]) {
    const piece = formed(purse(acrossMm));
    expect(volumeMl(piece)).toBeCloseTo(doughMl + piece.capacityMl, 6);
  }
  const fault = refusal(purse(150));
  expect(fault).toMatchObject({ code: "topTooThin" });
  const widest = Number(/at most (\d+) mm/.exec(fault?.words ?? "")?.[1]);
  expect(refusal(purse(widest - 1))).toBeNull();
  expect(refusal(purse(widest + 1))).toMatchObject({ code: "topTooThin" });
  expect(refusal(purse(30))).toMatchObject({ code: "rolledTooSmall" });
});

test("the less goes into a purse the thicker its top stays, and top and bottom are all of its dough", () => {
  const skins = (piece: FormedPiece) => {
    const figure = (words: RegExp) =>
      parseFloat(piece.steps.find(({ text }) => words.test(text))?.figure ?? "NaN");
    return { topMm: figure(/^the top is/), bottomMm: figure(/^below, with the pinch/) };
  };
  fc.assert(
    fc.property(fc.integer({ min: 46, max: 120 }), share(0.05), share(0.05), (acrossMm, one, other) => {
      const [less, more] = [Math.min(one, other), Math.max(one, other)].map((plumpness) =>
        formPiece(purse(acrossMm, { plumpness })),
      );
      if (!less?.ok || !more?.ok) return;
      expect(skins(less.value).topMm).toBeGreaterThanOrEqual(skins(more.value).topMm);
      for (const { value } of [less, more]) {
        const { topMm, bottomMm } = skins(value);
        expect(bottomMm).toBeGreaterThanOrEqual(topMm);
        // Rolled wide the skin is nearly twice the face; each figure is said to a tenth.
        const skinMm2 = (Math.PI / 4) * acrossMm ** 2 + (Math.PI / 2) * acrossMm * value.finished.heightMm;
        const doughMm3 = (Math.PI / 4) * 120 ** 2 * 4;
        expect(Math.abs((topMm + bottomMm) * skinMm2 - doughMm3)).toBeLessThan(0.11 * skinMm2);
      }
    }),
    { numRuns: 100 },
  );
});

test("the round found for a finished width and height rolls out to them", () => {
  const heightMm = 30;
  const cutMm = findGatheredBlankMm(purse(48) as Parameters<typeof findGatheredBlankMm>[0], heightMm) ?? 0;
  const piece = formed(purse(48, { cut: { kind: "disc", diameterMm: cutMm } }));
  expect(piece.finished.heightMm).toBeCloseTo(heightMm, 6);
});

test("a press gives back what stands out of it and refuses a round that it does not catch", () => {
  const press = (diameterMm: number): FormRequest => ({
    ...base,
    form: { kind: "pressed", pressMm: 110 },
    cut: { kind: "disc", diameterMm },
  });
  expect(formed(press(120)).trimMl).toBeCloseTo(((Math.PI / 4) * (120 ** 2 - 110 ** 2) * 3) / 1000, 9);
  expect(formed(press(120)).capacityMl).toBeCloseTo(
    formed({ ...base, cut: { kind: "disc", diameterMm: 110 } }).capacityMl,
    9,
  );
  expect(refusal(press(110))).toBeNull();
  expect(refusal(press(109.4))).toMatchObject({
    code: "pressNotReached",
    words: expect.stringContaining("0.6 mm short"),
  });
});

test("a large fold spread to the most is the round fold, and more is refused to the millimetre", () => {
  const large = (spreadMm: number): FormRequest => ({
    ...base,
    form: { kind: "largeFold", spreadMm, servings: 6 },
    cut: { kind: "disc", diameterMm: 300 },
  });
  const mostMm = (2 * (150 - 10)) / Math.PI - 3;
  expect(formed(large(mostMm)).capacityMl).toBeCloseTo(
    formed({ ...base, cut: { kind: "disc", diameterMm: 300 } }).capacityMl,
    1,
  );
  expect(refusal(large(mostMm + 0.1))).toMatchObject({ code: "spreadTooThick" });
  // Thin, it is the bed's area times its height, less the rounding of its edge.
  const bedMl = ((Math.PI / 2) * 140 ** 2 * 1) / 1000;
  expect(formed({ ...large(1), thicknessMm: 1e-6 }).capacityMl / bedMl).toBeCloseTo(1, 1);
});

test("a stick reaches past the middle, is held outside, and is covered or refused", () => {
  const onStick = (lengthMm: number, over: Partial<FormRequest> = {}): FormRequest => ({
    ...base,
    cut: { kind: "disc", diameterMm: 80 },
    plumpness: 0.5,
    form: { kind: "lidded", topOversizeMm: null, stick: { lengthMm, thicknessMm: 4 } },
    ...over,
  });
  // 10 mm of margin and three quarters of 60 mm of filling lie inside, 40 mm are to hold.
  expect(refusal(onStick(95))).toBeNull();
  expect(formed(onStick(150)).footprint.heightMm).toBeCloseTo(80 + 95, 9);
  expect(refusal(onStick(94))).toMatchObject({
    code: "stickTooShort",
    words: expect.stringContaining("95 mm"),
  });
  expect(refusal(onStick(150, { plumpness: 0.1 }))).toMatchObject({ code: "stickShows" });
});
