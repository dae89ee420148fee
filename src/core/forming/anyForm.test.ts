import fc from "fast-check";
import { computeAreaMm2, type Outline } from "../shape";
import { formPiece, type FormRequest, type Mould, type PieceForm } from ".";
import { sayFailure } from "../words";

const mm = (min: number, max: number) => fc.integer({ min, max });
const axis = fc.tuple(mm(10, 400), mm(10, 400)).map(([one, other]) => ({
  baseMm: Math.min(one, other),
  rimMm: Math.max(one, other),
}));
const mould: fc.Arbitrary<Mould> = fc.oneof(
  fc.record({
    kind: fc.constantFrom("round" as const, "looseBottomed" as const, "muffin" as const),
    axes: fc.tuple(axis),
    depthMm: mm(5, 100),
    fluteMm: fc.constant(0),
  }),
  fc.record({
    kind: fc.constant("fluted" as const),
    axes: fc.tuple(axis),
    depthMm: mm(5, 100),
    fluteMm: mm(0, 9),
  }),
  fc.record({
    kind: fc.constant("oval" as const),
    axes: fc.tuple(axis, axis),
    depthMm: mm(5, 100),
    fluteMm: fc.constant(0),
  }),
);
/** Any form with figures anywhere within what may be typed. */
const form: fc.Arbitrary<PieceForm> = fc.oneof(
  fc.record({ kind: fc.constantFrom("halfMoon" as const, "triangle" as const, "rectangle" as const) }),
  fc.record({ kind: fc.constant("largeFold" as const), spreadMm: mm(1, 80), servings: mm(2, 24) }),
  fc.record({
    kind: fc.constant("lidded" as const),
    topOversizeMm: fc.option(mm(-20, 100)),
    stick: fc.option(fc.record({ lengthMm: mm(40, 300), thicknessMm: mm(1, 12) })),
  }),
  fc.record({
    kind: fc.constant("wrapped" as const),
    fruitMm: mm(20, 150),
    fruitHeightMm: mm(20, 200),
    footMm: mm(0, 120),
    coreMm: mm(5, 60),
    overlapMm: mm(0, 60),
  }),
  fc.record({
    kind: fc.constant("gathered" as const),
    finishedMm: mm(30, 250),
    heapMm: fc.option(mm(20, 200)),
  }),
  fc.record({
    kind: fc.constant("lined" as const),
    mould,
    topping: fc.constantFrom({ kind: "open" as const }, { kind: "lid" as const }),
  }),
  fc.record({ kind: fc.constant("case" as const), holeMm: mm(10, 580) }),
  fc.record({
    kind: fc.constant("rosette" as const),
    sliceMm: mm(10, 120),
    sliceThicknessMm: mm(1, 10),
    overlapShare: fc.double({ min: 0, max: 0.9, noNaN: true }),
    cavityMm: mm(20, 200),
  }),
  fc.record({
    kind: fc.constant("puck" as const),
    mould,
    logMm: mm(20, 150),
    stacked: mm(1, 8),
    sheetMm: mm(1, 12),
  }),
  fc.record({ kind: fc.constant("pressed" as const), pressMm: mm(40, 250) }),
);
const cut: fc.Arbitrary<Outline> = fc.oneof(
  fc.record({ kind: fc.constant("disc" as const), diameterMm: mm(10, 600) }),
  fc.record({ kind: fc.constant("square" as const), sideMm: mm(10, 600) }),
  fc.record({ kind: fc.constant("rectangle" as const), widthMm: mm(10, 600), heightMm: mm(10, 600) }),
  fc.record({ kind: fc.constant("oval" as const), widthMm: mm(10, 600), heightMm: mm(10, 600) }),
);
const requests: fc.Arbitrary<FormRequest> = fc.record({
  form,
  cut,
  thicknessMm: fc.double({ min: 1, max: 20, noNaN: true }),
  springBackShare: fc.double({ min: 0, max: 0.3, noNaN: true }),
  marginMm: mm(3, 60),
  plumpness: fc.double({ min: 0.05, max: 1, noNaN: true }),
  layersMm: fc.array(mm(1, 80), { maxLength: 2 }),
});

test("whatever may be typed is made or refused: no figure that is none, and no size below nothing", () => {
  let [made, refused] = [0, 0];
  fc.assert(
    fc.property(requests, (request) => {
      const piece = formPiece(request);
      if (!piece.ok) {
        refused++;
        // A minus belongs to a hyphenated word or a range; before a figure on its own it is a size no dough has.
        expect(sayFailure(piece.failure)).not.toMatch(/(^|[\s(])[-−]\d|NaN|Infinity|undefined/);
        expect(sayFailure(piece.failure).length).toBeGreaterThan(20);
        return;
      }
      made++;
      const { blanks, capacityMl, mostMl, settledThicknessMm, trimMl, seamMm, washMm2, finished } =
        piece.value;
      for (const figure of [
        capacityMl,
        mostMl,
        settledThicknessMm,
        trimMl,
        seamMm,
        washMm2,
        finished.widthMm,
        finished.heightMm,
        finished.depthMm,
        ...blanks.map((blank) => computeAreaMm2(blank.cut)),
      ]) {
        expect(figure).toBeGreaterThanOrEqual(0);
        expect(figure).toBeLessThan(1e9);
      }
      expect(capacityMl).toBeLessThanOrEqual(mostMl + 1e-6);
      expect(JSON.stringify(piece.value)).not.toMatch(/null,null|NaN/);
    }),
    { numRuns: 5000 },
  );
  expect(Math.min(made, refused)).toBeGreaterThan(100);
});
