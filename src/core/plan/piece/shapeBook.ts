import { findFormulas } from "./findFormulas";
import type { Problem } from "../problem";
import { type ShapedPiece, shapePiece } from "./shapePiece";
import type { ShapeContext } from "./shapeContext";
import type { DayBook } from "../book";

const isSame =
  ({ code, pieceId }: Problem) =>
  (other: Problem): boolean =>
    other.code === code && other.pieceId === pieceId;

/** Every piece of the book by itself; those that cannot be made and were not ordered are reported here. */
export function shapeBook(
  { pieces, formulas }: DayBook,
  context: ShapeContext,
  problems: Problem[],
): Record<string, ShapedPiece | null> {
  const shapes = pieces.map((piece) => {
    const { dough, filling } = findFormulas(piece, formulas);
    const shaped = dough && filling ? shapePiece(piece, dough, filling, context) : null;
    if (shaped && !shaped.ok && !problems.some(isSame(shaped.failure))) {
      problems.push({ ...shaped.failure, stops: false });
    }
    return [piece.id, shaped?.ok ? shaped.value : null] as const;
  });
  return Object.fromEntries(shapes);
}
