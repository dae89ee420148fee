import fc from "fast-check";
import { because } from "../result";
import type { PieceForm } from "../forming";
import {
  checkWay,
  createWay,
  factsOf,
  findChillMin,
  findCoolMin,
  findHeatWay,
  findUnmould,
  insertStep,
  listHeats,
  listReadyWays,
  listStretches,
  moveStep,
  removeStep,
  fitWay,
  settleWay,
  stepKinds,
  withChill,
  withCool,
  withHeats,
  withHeatWay,
  withUnmould,
  type StepKind,
  type Way,
} from ".";
import { sayFailure } from "../words";

const mould = { kind: "round", axes: [{ baseMm: 60, rimMm: 75 }], depthMm: 25, fluteMm: 0 } as const;
const forms: readonly PieceForm[] = [
  { kind: "halfMoon" },
  { kind: "triangle" },
  { kind: "rectangle" },
  { kind: "largeFold", spreadMm: 15, servings: 6 },
  { kind: "lidded", topOversizeMm: null, stick: null },
  { kind: "lidded", topOversizeMm: null, stick: { lengthMm: 120, thicknessMm: 4 } },
  { kind: "wrapped", fruitMm: 58, fruitHeightMm: 66, footMm: 26, coreMm: 18, overlapMm: 14 },
  { kind: "gathered", finishedMm: 70, heapMm: null },
  { kind: "lined", mould, topping: { kind: "open" } },
  { kind: "lined", mould, topping: { kind: "lid" } },
  { kind: "lined", mould, topping: { kind: "cutOut", outline: { kind: "disc", diameterMm: 30 } } },
  { kind: "case", holeMm: 46 },
  { kind: "rosette", sliceMm: 42, sliceThicknessMm: 2, overlapShare: 0.5, cavityMm: 70 },
  { kind: "puck", mould, logMm: 48, stacked: 2, sheetMm: 3 },
  { kind: "pressed", pressMm: 100 },
];
const open = forms[8]!;
const moon = forms[0]!;
const kindsOf = (way: Way): StepKind[] => way.map(({ kind }) => kind);
const bake = (heatC: number, minutes: number) => ["bake", { heatC, minutes }] as const;

describe("ways ready to take", () => {
  const ready = forms.flatMap((form) => listReadyWays(form).map((each) => ({ form, ...each })));

  test.each(ready)("$form.kind, $name: every step can be where it is", ({ form, way }) => {
    expect(checkWay(way, { form })).toEqual([]);
  });

  it("have one for every form, and the same name never twice in a form", () => {
    for (const form of forms) {
      const names = listReadyWays(form).map(({ name }) => name);
      expect(names.length).toBeGreaterThan(0);
      expect(new Set(names).size).toBe(names.length);
    }
  });

  it("start an open tart without wash, vents or a chill that nobody asked for", () => {
    const [first] = listReadyWays(open);
    for (const kind of ["brush", "vent", "chill"] as const) expect(kindsOf(first!.way)).not.toContain(kind);
  });

  it("pour a syrup boiling, after closing and chilling, straight before the heat", () => {
    const kinds = kindsOf(listReadyWays(forms[6]!)[0]!.way);
    const places = (["close", "chill", "warm", "pourAround", "bake"] as const).map((kind) =>
      kinds.indexOf(kind),
    );
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(kinds[kinds.indexOf("bake") - 1]).toBe("pourAround");
  });
});

describe("an order that cannot be", () => {
  const whole = createWay([
    ["roll"],
    ["cut"],
    ["fill"],
    ["close"],
    ["chill"],
    bake(200, 20),
    ["cool"],
    ["setOut"],
  ]);
  const faultsOf = (way: Way, form = moon) => checkWay(way, { form });

  it("is refused with the step that has to come first", () => {
    const lined = createWay([["fill"], ["line"], bake(200, 20), ["setOut"]]);
    expect(faultsOf(lined, open)).toContainEqual(because("tooEarly", { later: "fill", earlier: "line" }));
    const glazed = createWay([["fill"], ["close"], ["glaze"], bake(200, 20), ["setOut"]]);
    expect(faultsOf(glazed)).toContainEqual(because("tooEarly", { later: "glaze", earlier: "bake" }));
    const empty = createWay([["close"], ["fill"], bake(200, 20), ["setOut"]]);
    expect(faultsOf(empty)).toContainEqual(because("tooEarly", { later: "close", earlier: "fill" }));
  });

  it.each([
    ["a second coat that goes into no heat", [["brush"], bake(200, 10), ["coat"]], "noOpenDoor"],
    ["weights that stay in", [["weightsIn"], bake(200, 10)], "weightsStayIn"],
    ["baked and fried", [bake(200, 10), ["fry", { heatC: 180 }]], "bakedAndFried"],
    ["set out and then cooled", [bake(200, 10), ["setOut"], ["cool"]], "afterSetOut"],
    ["closed twice", [["fill"], ["close"], ["close"], bake(200, 10)], "twice"],
    ["never heated", [["fill"], ["close"]], "missing"],
  ] as const)("%s is told by its code and with a mend", (_name, steps, code) => {
    const faults = faultsOf(createWay(steps));
    const fault = faults.find((each) => each.code === code);
    expect(fault).toBeDefined();
    expect(sayFailure(fault!)).toMatch(/\.$/);
  });

  it("lets an open shell go empty, and no closed piece", () => {
    const empty = (form: PieceForm, shape: readonly (readonly [StepKind])[]) =>
      faultsOf(createWay([...shape, bake(190, 20), ["setOut"]]), form);
    expect(empty(open, [["line"]])).toEqual([]);
    expect(empty(moon, [["close"]])).toContainEqual(because("missing", { step: "fill" }));
  });

  it("is found wherever a step of a whole way is taken to", () => {
    // By hand: the closed half-moon has 8 steps; every move that puts closing before filling or heat before closing is refused.
    for (const { id, kind } of whole)
      for (let to = 0; to < whole.length; to++) {
        const moved = moveStep(whole, id, to);
        const kinds = kindsOf(moved);
        const isPossible =
          kinds.indexOf("fill") < kinds.indexOf("close") &&
          kinds.indexOf("close") < kinds.indexOf("bake") &&
          kinds.indexOf("roll") < kinds.indexOf("cut") &&
          kinds.indexOf("cut") < kinds.indexOf("fill") &&
          kinds.indexOf("cool") > kinds.indexOf("bake") &&
          kinds.at(-1) === "setOut";
        expect([kind, to, checkWay(moved, { form: moon }).length === 0]).toEqual([kind, to, isPossible]);
      }
  });
});

/** Any steps in any order, as nobody would work. */
const anyWay: fc.Arbitrary<Way> = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...stepKinds),
      minutes: fc.integer({ min: 0, max: 60 }),
      most: fc.option(fc.integer({ min: 0, max: 30 }), { nil: null }),
    }),
    { maxLength: 25 },
  )
  .map((steps) =>
    createWay(
      steps.map(({ kind, minutes, most }) => [
        kind,
        { minutes, mostWaitMin: most, heatC: factsOf(kind).pass === "heat" ? 190 : null },
      ]),
    ),
  );

describe("the way as it is done in goes", () => {
  it("has every step of hands and heat once, in its order, and nothing else", () => {
    fc.assert(
      fc.property(anyWay, (way) => {
        const done = listStretches(way).flatMap(({ steps }) => steps.map(({ id }) => id));
        const wanted = way.filter(({ kind }) => ["hands", "heat", "door"].includes(factsOf(kind).pass));
        expect(done).toEqual(wanted.map(({ id }) => id));
      }),
      { numRuns: 500 },
    );
  });

  it("keeps every minute on a shelf between hands", () => {
    fc.assert(
      fc.property(anyWay, (way) => {
        const stretches = listStretches(way);
        const lastWork = way.findLastIndex(({ kind }) =>
          ["hands", "heat", "door"].includes(factsOf(kind).pass),
        );
        const stood = way
          .slice(0, Math.max(lastWork, 0))
          .reduce((sum, { kind, minutes }) => sum + (factsOf(kind).pass === "stand" ? minutes : 0), 0);
        // Hands that leave something to dry count with it: here they all do.
        const dried = stretches.reduce(
          (sum, { steps }, i) =>
            sum +
            (i < stretches.length - 1 && factsOf(steps.at(-1)!.kind).pass === "hands"
              ? steps.at(-1)!.minutes
              : 0),
          0,
        );
        const waited = stretches.reduce((sum, { wait }) => sum + wait.standMin, 0);
        expect(waited).toBeGreaterThanOrEqual(stood - 1e-9);
        expect(waited).toBeLessThanOrEqual(stood + dried + 1e-9);
      }),
      { numRuns: 500 },
    );
  });

  it("cools on while hands are at it", () => {
    const way = createWay([
      bake(200, 20),
      ["cool", { minutes: 10 }],
      ["unmould"],
      ["cool", { minutes: 5 }],
      ["setOut"],
    ]);
    expect(listStretches(way).map(({ wait }) => wait.cooledMin)).toEqual([0, 10, 15]);
  });
});

describe("changing a way", () => {
  it("adds a step where the craft does it, and taking it away again changes nothing", () => {
    fc.assert(
      fc.property(fc.constantFrom(...forms), fc.constantFrom(...stepKinds), (form, kind) => {
        const { way } = listReadyWays(form)[0]!;
        const added = insertStep(way, kind);
        const step = added.find(({ id }) => !way.some((each) => each.id === id));
        expect(new Set(added.map(({ id }) => id)).size).toBe(added.length);
        // A door step parts the only heat there is; all others leave the rest alone.
        if (factsOf(kind).pass !== "door") expect(removeStep(added, step!.id)).toEqual(way);
        else
          expect(listHeats(added).reduce((sum, { minutes }) => sum + minutes, 0)).toBe(
            listHeats(way).reduce((sum, { minutes }) => sum + minutes, 0),
          );
      }),
    );
  });

  it("has a step for what is washed, pricked, glazed and sugared, and none for what is not", () => {
    const figures = {
      wash: { kind: "egg", coats: 2, sugar: "after" },
      vents: { kind: "slits", count: 2 },
      glaze: { kind: "icing" },
      extras: [],
    } as const;
    const bare = {
      wash: { kind: "none", coats: 1, sugar: "none" },
      vents: { kind: "none", count: 0 },
      glaze: { kind: "none" },
      extras: [],
    } as const;
    for (const form of forms) {
      const { way } = listReadyWays(form)[0]!;
      const plain = settleWay(way, bare);
      const full = settleWay(plain, figures);
      for (const kind of ["vent", "brush", "coat", "glaze", "dust"] as const) {
        expect([form.kind, kindsOf(full).filter((each) => each === kind)]).toEqual([form.kind, [kind]]);
        expect(kindsOf(plain)).not.toContain(kind);
      }
      expect(checkWay(full, { form })).toEqual([]);
      expect(settleWay(full, figures)).toBe(full);
      expect(kindsOf(settleWay(full, bare))).toEqual(kindsOf(plain));
      expect(listHeats(settleWay(full, bare))).toEqual(listHeats(plain));
    }
  });

  it("gains what a changed form asks of hands, loses what it no longer does, and can be worked", () => {
    for (const was of forms)
      for (const form of forms) {
        if (form.kind !== was.kind) continue;
        const { way } = listReadyWays(was)[0]!;
        const fitted = fitWay(way, was, form);
        expect([was, form, checkWay(fitted, { form })]).toEqual([was, form, []]);
        expect(fitWay(fitted, form, form)).toBe(fitted);
        expect(kindsOf(fitWay(fitted, form, was)).toSorted()).toEqual(kindsOf(way).toSorted());
      }
  });

  it("reads back the minutes that were set", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...forms),
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 0, max: 90 }),
        fc.option(fc.integer({ min: 0, max: 60 }), { nil: null }),
        (form, chillMin, coolMin, outMin) => {
          const { way } = listReadyWays(form)[0]!;
          const window = outMin === null ? null : { fromMin: outMin, untilMin: outMin + 20 };
          const chilled = withChill(way, chillMin);
          const cooled = withCool(withUnmould(chilled, window), coolMin);
          expect(findChillMin(chilled)).toBe(chillMin);
          expect(findCoolMin(cooled)).toBe(coolMin);
          expect(findUnmould(cooled)).toEqual(
            window && { fromMin: Math.min(window.fromMin, coolMin), untilMin: window.untilMin },
          );
        },
      ),
    );
  });

  it("bakes at other heats, empty first or not, and fills once either way", () => {
    const heats = [
      { ovenC: 210, minutes: 10 },
      { ovenC: 180, minutes: 12 },
    ];
    for (const { way } of listReadyWays(open).filter((each) => kindsOf(each.way).includes("fill"))) {
      const blind = withHeats(way, heats, { ovenC: 190, minutes: 14 });
      expect(listHeats(blind)).toEqual([{ ovenC: 190, minutes: 14 }, ...heats]);
      expect(checkWay(blind, { form: open })).toEqual([]);
      const raw = withHeats(blind, heats);
      expect(listHeats(raw)).toEqual(heats);
      expect(checkWay(raw, { form: open })).toEqual([]);
      expect(kindsOf(raw).filter((kind) => kind === "fill")).toEqual(["fill"]);
    }
  });

  it("is fried instead of baked without what only an oven wants", () => {
    const { way } = listReadyWays(moon)[2]!;
    const fried = withHeatWay(way, "oil", { ovenC: 180, minutes: 5 });
    expect(findHeatWay(fried)).toBe("oil");
    expect(listHeats(fried)).toEqual([{ ovenC: 180, minutes: 5 }]);
    for (const kind of ["brush", "coat", "turn", "bake"] as const) expect(kindsOf(fried)).not.toContain(kind);
    expect(checkWay(fried, { form: moon })).toEqual([]);
    expect(findHeatWay(withHeatWay(fried, "oven", { ovenC: 200, minutes: 22 }))).toBe("oven");
  });
});
