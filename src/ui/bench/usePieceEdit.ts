"use client";

import type { Piece } from "@/core/plan";
import { settleWay } from "@/core/way";
import { useBench } from "./BenchProvider";

/** Changes some fields of a piece; what it is washed, pricked or glazed with are steps of its way. */
export function usePieceEdit(piece: Piece) {
  const edit = useBench((state) => state.edit);
  return {
    editPiece: (fields: Partial<Piece>) => {
      const next = { ...piece, ...fields };
      edit([{ kind: "piece", id: piece.id, record: { ...next, way: settleWay(next.way, next) } }]);
    },
  };
}
