import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { planDay, shapePiece, type Piece, type ShapedPiece } from "..";
import { findFormulas } from "./findFormulas";
import { toShapeContext } from "./shapeContext";

const monday = toDayBook(listDemoRecords(), "2026-11-30", null)!;
const context = toShapeContext(monday);
function tryShape(id: string, change: Partial<Piece>): ShapedPiece | null {
  const piece = { ...monday.pieces.find((each) => each.id === id)!, ...change };
  const { dough, filling } = findFormulas(piece, monday.formulas);
  const shaped = shapePiece(piece, dough!, filling!, context);
  return shaped.ok ? shaped.value : null;
}
const shapeWith = (id: string, change: Partial<Piece>) => tryShape(id, change)!;

const filledIds = monday.pieces.map(({ id }) => id).filter((id) => shapeWith(id, {}).portion.massG > 0);

test.each(filledIds)("%s takes the weight it is given and is as full as if it were set so", (id) => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 1, noNaN: true }), (plumpness) => {
      const set = tryShape(id, { plumpness });
      if (!set) return;
      const weighed = shapeWith(id, { portionG: set.portion.massG });
      expect(weighed.portion.massG).toBeCloseTo(set.portion.massG, 9);
      expect(weighed.overMl).toBe(0);
      expect(weighed.formed.capacityMl).toBeCloseTo(set.formed.capacityMl, 1);
    }),
    { numRuns: 8 },
  );
});

test.each(["custard-cup", "quince-half-moon", "harbour-fold"])(
  "%s with 5 ml more than it can hold keeps the weight and tells the 5 ml",
  (id) => {
    const full = shapeWith(id, { portionG: 5000 });
    const roomMl = full.portion.volumeMl - full.overMl;
    const gPerMl = full.portion.massG / full.portion.volumeMl;
    const over = shapeWith(id, { portionG: (roomMl + 5) * gPerMl });
    expect(over.overMl).toBeCloseTo(5, 3);
    expect(over.portion.massG).toBeCloseTo((roomMl + 5) * gPerMl, 9);
    expect(shapeWith(id, { portionG: roomMl * gPerMl }).overMl).toBe(0);
  },
);

test("a day says what boils over and what would fit, and still plans it", () => {
  const pieces = monday.pieces.map((piece) =>
    piece.id === "custard-cup" ? { ...piece, portionG: 90 } : piece,
  );
  const { problems, lines } = planDay({ ...monday, pieces });
  const [told] = problems.filter(({ pieceId, station }) => pieceId === "custard-cup" && station === "fill");
  expect(told).toMatchObject({
    stops: false,
    message: expect.stringMatching(/90 g each is .* ml more .* boils over/),
  });
  const fits = told!.numbers.fitsG!;
  expect(told!.remedy).toMatch(`Give ${fits} g`);
  expect(shapeWith("custard-cup", { portionG: fits }).overMl).toBe(0);
  expect(shapeWith("custard-cup", { portionG: fits + 2 }).overMl).toBeGreaterThan(0);
  const line = lines.find(({ piece }) => piece.id === "custard-cup");
  if (line) expect(line.fills[0]!.totalG).toBeCloseTo(90 * line.counts.toFill, 6);
});
