import { findFormulas } from "./findFormulas";
import type { Problem } from "../problem";
import { type ShapedPiece, shapePiece } from "./shapePiece";
import type { ShapeContext } from "./shapeContext";
import type { DayBook } from "../book";

const isSame =
  ({ code, pieceId }: Problem) =>
  (other: Problem): boolean =>
    other.code === code && other.pieceId === pieceId;

/** Every piece of the book by itself; those that cannot be made and are not among the `known` problems are told here. */
export function shapeBook(
  { pieces, formulas }: DayBook,
  context: ShapeContext,
  known: readonly Problem[],
): { readonly value: Record<string, ShapedPiece | null>; readonly problems: readonly Problem[] } {
  const shapes = pieces.map((piece) => {
    const { dough, filling } = findFormulas(piece, formulas);
    return { id: piece.id, shaped: dough && filling ? shapePiece(piece, dough, filling, context) : null };
  });
  return {
    value: Object.fromEntries(shapes.map(({ id, shaped }) => [id, shaped?.ok ? shaped.value : null])),
    problems: shapes.flatMap(({ shaped }) =>
      shaped && !shaped.ok && !known.some(isSame(shaped.failure))
        ? [{ ...shaped.failure, stops: false }]
        : [],
    ),
  };
}
