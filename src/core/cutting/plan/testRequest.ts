import fc from "fast-check";
import type { Outline } from "../../shape";
import { craftHandTimes, type BlankDemand, type CutRequest } from "..";

/** What tests of cut plans ask for, to be varied. */
export const demandFor = (outline: Outline, count: number, more: Partial<BlankDemand> = {}): BlankDemand => ({
  id: "blank",
  outline,
  count,
  webMm: 0,
  marginMm: 8,
  isVisible: true,
  keepsCentre: true,
  keepsSurplus: true,
  ...more,
});

/** A market's dozens of rounds. */
export const market: CutRequest = {
  demands: [demandFor({ kind: "disc", diameterMm: 90 }, 96)],
  thicknessMm: 3.5,
  densityGPerMl: 1.2,
  sheetLimit: { widthMm: 620, heightMm: 430 },
  rerollLimit: 2,
  rerollLossShare: 0.02,
  rerollShrinkShare: 0,
  tearSharePer100Mm: 0,
  mayTurn: true,
  handTimes: craftHandTimes,
  pinnedSheet: null,
  boughtSheet: null,
  decoration: null,
};

const outlines = fc.oneof(
  fc.record({ kind: fc.constant("disc" as const), diameterMm: fc.integer({ min: 40, max: 160 }) }),
  fc.record({ kind: fc.constant("square" as const), sideMm: fc.integer({ min: 40, max: 160 }) }),
  fc.record({
    kind: fc.constant("rectangle" as const),
    widthMm: fc.integer({ min: 40, max: 160 }),
    heightMm: fc.integer({ min: 40, max: 160 }),
  }),
);
/** Any one or two cutters of a bakery's size, and any dough. */
export const requests: fc.Arbitrary<CutRequest> = fc.record({
  demands: fc.uniqueArray(
    fc.record({
      id: fc.constantFrom("top", "base", "lid"),
      outline: outlines,
      count: fc.integer({ min: 1, max: 400 }),
      webMm: fc.integer({ min: 0, max: 6 }),
      marginMm: fc.integer({ min: 0, max: 15 }),
      isVisible: fc.boolean(),
      keepsCentre: fc.constant(true),
      keepsSurplus: fc.boolean(),
    }),
    { selector: ({ id }) => id, minLength: 1, maxLength: 2 },
  ),
  thicknessMm: fc.double({ min: 1.5, max: 8, noNaN: true }),
  densityGPerMl: fc.double({ min: 1, max: 1.3, noNaN: true }),
  sheetLimit: fc.constant({ widthMm: 620, heightMm: 430 }),
  rerollLimit: fc.integer({ min: 0, max: 3 }),
  rerollLossShare: fc.double({ min: 0, max: 0.2, noNaN: true }),
  rerollShrinkShare: fc.double({ min: 0, max: 0.1, noNaN: true }),
  tearSharePer100Mm: fc.double({ min: 0, max: 0.2, noNaN: true }),
  mayTurn: fc.boolean(),
  handTimes: fc.constant(craftHandTimes),
  pinnedSheet: fc.constantFrom(null, { widthMm: 600, heightMm: 420 }),
  boughtSheet: fc.constantFrom(null, { widthMm: 600, heightMm: 420, thicknessMm: 4 }),
  decoration: fc.constantFrom(null, { kind: "leaf" as const, widthMm: 40, heightMm: 18 }),
});
