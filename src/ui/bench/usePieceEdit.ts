"use client";

import type { Piece } from "@/core/plan";
import { fitWay, settleWay } from "@/core/way";
import { useBench, useBenchStore } from "./BenchProvider";

/**
 * Changes some fields of a piece; what it is washed, pricked or glazed with are steps of its way, as is what its form asks
 * of hands.
 * @param planned - The piece as the plan on the screen has it.
 * @returns The piece as it is typed by now, which dials show: the plan comes after it, and must not undo it.
 */
export function usePieceEdit(planned: Piece) {
  const store = useBenchStore();
  const piece = useBench(({ book }) => findNewest(book.pieces, planned));
  return {
    piece,
    editPiece: (fields: Partial<Piece>) => {
      const { book, edit } = store.getState();
      const was = findNewest(book.pieces, planned);
      const next = { ...was, ...fields };
      const way = settleWay(fields.way ?? fitWay(was.way, was.form, next.form), next);
      edit([{ kind: "piece", id: piece.id, record: { ...next, way } }]);
    },
  };
}

const findNewest = (pieces: readonly Piece[], planned: Piece): Piece =>
  pieces.find(({ id }) => id === planned.id) ?? planned;
