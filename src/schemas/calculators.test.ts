import { starterFormulas } from "@/demo";
import { validateChill, validateParse, validateScale } from "./calculators";
import { validateFry } from "./heatCalculators";
import { validateBlanks } from "./pieceCalculators";
import {
  validateCutPlan,
  validateLayout,
  validatePlacedTemplate,
  validateRecord,
  validateTemplate,
  validateYield,
  type Fault,
} from "./validate";
import type { RecordKind } from "./recordKinds";
import type { Result } from "@/core/result";

const faultsOf = (checked: Result<unknown, Fault[]>) => (checked.ok ? [] : checked.failure);
const [formula] = starterFormulas;

const chill = {
  body: { kind: "disc", diameterMm: 180, heightMm: 30 },
  composition: { waterShare: 0.2, fatShare: 0.25, sugarShare: 0, starchShare: 0.4 },
  densityGPerMl: 1.2,
  window: { lowC: 10, highC: 16 },
  mixedC: 19,
  fridgeC: 4,
  freezerC: -18,
  roomC: 21,
  sheetThicknessMm: 3,
};

test("a chill document is taken with its defaults", () => {
  expect(validateChill(chill)).toEqual({ ok: true, value: { ...chill, wrapped: true, turned: false } });
});

test.each([
  [{ body: { kind: "cone" } }, "body", "slab, a disc, a log, a ball or a brick"],
  [{ body: { kind: "ball", diameterMm: 0 } }, "body.diameterMm", "1 mm too little"],
  [{ composition: { ...chill.composition, waterShare: 0.9 } }, "composition", "more than the whole"],
  [{ window: { lowC: 16, highC: 10 } }, "window.highC", "greater than"],
  [{ fridgeC: 40 }, "fridgeC", "28 °C too much"],
  [{ surprise: 1 }, "surprise", "not allowed"],
])("chill with %j is refused at its place", (fields, path, words) => {
  expect(faultsOf(validateChill({ ...chill, ...fields }))).toContainEqual({
    path,
    message: expect.stringContaining(words),
  });
});

test.each([
  [{ by: "mass", usableG: 0 }, "to.usableG", "too little"],
  [{ by: "pieces", pieces: 2.5, perPieceG: 30 }, "to.pieces", "whole number"],
  [{ by: "moon" }, "to", "mass, pieces, ingredient or wholeEggs"],
  [{ by: "ingredient", massG: 20 }, "to.lineId", "required"],
])("scaling to %j is refused at its place", (to, path, words) => {
  expect(faultsOf(validateScale({ formula, to }))).toContainEqual({
    path,
    message: expect.stringContaining(words),
  });
});

test("a text to parse must be one, and not a book", () => {
  expect(validateParse({ text: "250 g flour" })).toMatchObject({
    ok: true,
    value: { system: "metric", ingredients: [] },
  });
  expect(faultsOf(validateParse({ text: "" }))).toHaveLength(1);
  expect(faultsOf(validateParse({ text: "x".repeat(100_001) }))).toHaveLength(1);
  expect(faultsOf(validateParse({ text: "1 g salt", system: "roman" }))).toMatchObject([{ path: "system" }]);
});

const sheet = { widthMm: 400, heightMm: 300 };
const disc = { kind: "disc", diameterMm: 90 };

test("a wheel cuts straight edges, several outlines go in any way but by the wheel, and a budget has an end", () => {
  const one = (outline: unknown) => [{ outline }];
  expect(faultsOf(validateLayout({ mode: "wheel", outlines: one(disc), sheet }))).toMatchObject([
    { message: expect.stringContaining("straight edges") },
  ]);
  const bar = { kind: "rectangle", widthMm: 90, heightMm: 40 };
  expect(
    faultsOf(validateLayout({ mode: "wheel", outlines: [...one(bar), ...one(bar)], sheet })),
  ).toMatchObject([{ message: expect.stringContaining("one outline at a time") }]);
  expect(validateLayout({ mode: "tight", outlines: [...one(disc), ...one(bar)], sheet })).toMatchObject({
    ok: true,
  });
  expect(
    faultsOf(validateLayout({ mode: "tight", outlines: one(disc), sheet, budgetMs: 60_000 })),
  ).toMatchObject([{ path: "budgetMs" }]);
  expect(validateTemplate({ form: "pdf", outlines: one(disc), sheet })).toMatchObject({
    ok: true,
    value: { mode: "rows", paper: "a4", title: "Cut template", outlines: [{ ratio: 1 }] },
  });
  expect(faultsOf(validateTemplate({ form: "gif", outlines: one(disc), sheet }))).toMatchObject([
    { path: "form" },
  ]);
});

test("an outline may be path data; a fault in it is said where it stands", () => {
  const layout = (d: string) => validateLayout({ outlines: [{ outline: { kind: "path", d } }], sheet });
  expect(layout("M0 0 H50 V50 H0 Z")).toMatchObject({
    ok: true,
    value: {
      outlines: [
        {
          outline: {
            kind: "path",
            corners: [
              [-25, -25],
              [25, -25],
              [25, 25],
              [-25, 25],
            ],
          },
        },
      ],
    },
  });
  expect(faultsOf(layout("M0 0 H50 V50"))).toMatchObject([
    { path: "outlines.0.outline", message: expect.stringContaining("open") },
  ]);
  expect(
    faultsOf(
      validateLayout({ outlines: [{ outline: { kind: "ring", diameterMm: 50, holeMm: 60 } }], sheet }),
    ),
  ).toMatchObject([{ message: expect.stringContaining("smaller than the ring") }]);
});

test("a template of a thousand thimbles is taken, one of nonsense is not", () => {
  const placed = (placements: unknown) =>
    validatePlacedTemplate({
      title: "t",
      form: "svg",
      paper: "a4",
      sheet,
      parts: [{ outline: disc, placements }],
    });
  const cut = { xMm: 50, yMm: 50, angleDeg: 0 };
  expect(placed(Array.from({ length: 1000 }, () => cut)).ok).toBe(true);
  expect(placed(Array.from({ length: 5001 }, () => cut)).ok).toBe(false);
  expect(faultsOf(placed([{ ...cut, xMm: Number.NaN }]))).toMatchObject([
    { path: "parts.0.placements.0.xMm" },
  ]);
});

test("plans and yields refuse what cannot be rolled, by how much", () => {
  const rolled = {
    thicknessMm: 3,
    densityGPerMl: 1.2,
    sheetLimit: sheet,
    rerollLimit: 2,
    rerollLossShare: 0.02,
  };
  const plan = (count: number) =>
    validateCutPlan({ ...rolled, demands: [{ id: "moon", outline: disc, count }] });
  expect(validateYield({ ...rolled, outline: disc, doughG: 800 }).ok).toBe(true);
  expect(plan(40)).toMatchObject({
    ok: true,
    value: { pinnedSheet: null, boughtSheet: null, rerollShrinkShare: 0, demands: [{ isVisible: true }] },
  });
  expect(faultsOf(plan(10_001))).toMatchObject([
    { path: "demands.0.count", message: "Pieces: 10001 is 1 too much. Use 1 to 10000." },
  ]);
  expect(faultsOf(validateYield({ ...rolled, outline: disc, thicknessMm: 0.2, doughG: 800 }))).toMatchObject([
    { path: "thicknessMm", message: expect.stringContaining("0.8 mm too little") },
  ]);
});

test.each([
  [
    "larder",
    {
      kind: "dough",
      refId: "x",
      massG: 10,
      count: 0,
      madeOn: "2026-11-28",
      useBy: "2026-11-27",
      fromDayId: null,
      takenByDayId: null,
    },
    "before it was made",
  ],
  [
    "ingredient",
    {
      name: "fog",
      otherNames: [],
      group: "other",
      densities: [],
      pieceG: null,
      waterShare: 0.9,
      fatShare: 0.3,
      sugarShare: 0,
      starchShare: 0,
      allergens: [],
      pack: null,
      source: "",
    },
    "20 % more than the whole",
  ],
  [
    "kitchen",
    { system: "metric", eggSize: "medium", roomC: 90, fridgeC: 4, freezerC: -18, mixedC: 18 },
    "45 °C too much",
  ],
  [
    "weighing",
    { dayId: "d", date: "2026-02-30", formulaId: "f", tickedLineIds: [], took: null, mixG: null },
    "no date",
  ],
])("a %s that cannot be is refused with a reason", (kind, fields, words) => {
  expect(faultsOf(validateRecord(kind as RecordKind, { id: "one", ...fields }))).toContainEqual(
    expect.objectContaining({ message: expect.stringContaining(words) }),
  );
});

test("a formula's range must rise, and so must its working window", () => {
  const change = (fields: object) => validateRecord("formula", { ...formula, ...fields });
  expect(change({}).ok).toBe(true);
  const [line] = formula!.lines;
  expect(faultsOf(change({ lines: [{ ...line, mostG: line!.massG }] }))).toMatchObject([
    { message: "The most of a range must be above its least." },
  ]);
  expect(faultsOf(change({ window: { lowC: 16, highC: 12 } }))).toMatchObject([
    { message: expect.stringContaining("smear at a higher temperature") },
  ]);
});

test("no layers are layers too, and a bath of oil loses what is usual unless it says otherwise", () => {
  const form = {
    form: { kind: "halfMoon" },
    cut: { kind: "disc", diameterMm: 120 },
    thicknessMm: 3,
    marginMm: 10,
    plumpness: 0.5,
    densityGPerMl: 1.2,
  };
  expect(validateBlanks({ ...form, layersMm: [] })).toEqual(validateBlanks(form));
  expect(validateBlanks(form)).toMatchObject({ ok: true, value: { layersMm: [] } });
  const fry = (bath: object) =>
    validateFry({
      bath: { oilKg: 5, heaterW: 3000, setC: 180, roomC: 20, ...bath },
      load: { pieces: 8, pieceMm2: 11_000, minutes: 5, pieceG: 34, waterShare: 0.4 },
    });
  expect(fry({})).toMatchObject({ ok: true, value: { bath: { oilJPerKgK: 2300, lossWPerK: 3 } } });
  expect(fry({ lossWPerK: 7.5 })).toMatchObject({ ok: true, value: { bath: { lossWPerK: 7.5 } } });
  expect(fry({ oilJPerKgK: 900 })).toMatchObject({
    ok: false,
    failure: [{ path: "bath.oilJPerKgK", message: expect.stringContaining("600 J/kg K too little") }],
  });
});
