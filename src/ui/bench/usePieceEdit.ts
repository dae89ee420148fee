"use client";

import type { Piece } from "@/core/plan";
import { useBench } from "./BenchProvider";

/** Changes some fields of a piece. */
export function usePieceEdit(piece: Piece) {
  const edit = useBench((state) => state.edit);
  return {
    editPiece: (fields: Partial<Piece>) =>
      edit([{ kind: "piece", id: piece.id, record: { ...piece, ...fields } }]),
  };
}
