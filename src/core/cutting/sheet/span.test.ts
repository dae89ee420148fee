import fc from "fast-check";
import { drawIn, placePolygon, reachOfPolygon, toContour, toHalfPlanes, type Outline } from "../../shape";
import { createSpans, findSpan } from "./span";

const outlines: readonly Outline[] = [
  { kind: "disc", diameterMm: 40 },
  { kind: "heart", widthMm: 60, heightMm: 66 },
  { kind: "star", diameterMm: 50, points: 5 },
  { kind: "leaf", widthMm: 30, heightMm: 70 },
];

test("a line's stretch, asked by strips, is what all planes say, to the last digit", () => {
  fc.assert(
    fc.property(
      fc.record({
        shape: fc.constantFrom("oval" as const, "rectangle" as const),
        widthMm: fc.double({ min: 30, max: 900, noNaN: true }),
        heightMm: fc.double({ min: 30, max: 900, noNaN: true }),
      }),
      fc.nat(outlines.length - 1),
      fc.integer({ min: 0, max: 359 }),
      fc.array(fc.double({ min: -0.2, max: 1.2, noNaN: true }), { minLength: 1, maxLength: 60 }),
      (sheet, which, angleDeg, shares) => {
        const contour = placePolygon(toContour(outlines[which]!), 0, 0, angleDeg);
        const room = drawIn(toHalfPlanes(sheet), 5, reachOfPolygon(contour));
        const spanOf = createSpans(room, sheet.heightMm);
        for (const share of shares) {
          const yMm = share * sheet.heightMm;
          expect(spanOf(yMm)).toEqual(findSpan(room, yMm));
        }
      },
    ),
    { numRuns: 300, seed: 9 },
  );
});
