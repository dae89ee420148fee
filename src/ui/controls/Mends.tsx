"use client";

import type { PieceMend } from "@/core/plan";
import { createMendsClient, type MendsRequest } from "@/workers/createPlanClient";
import { usePicked } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { usePieceEdit } from "../bench/usePieceEdit";

/** Changes that would each make the piece, a tap each. Nothing is said while they are sought, or where there is none. */
export function Mends({ pieceId }: { readonly pieceId: string }) {
  const { book } = usePicked("book");
  const piece = book.pieces.find(({ id }) => id === pieceId);
  const { answer, isBusy } = useLatest<MendsRequest, PieceMend[]>(
    piece ? { book, pieceId } : null,
    createMendsClient,
  );
  if (!piece || !answer || isBusy || answer.output.length === 0) return null;
  return <MendButtons piece={piece} mends={answer.output} />;
}

function MendButtons({
  piece,
  mends,
}: {
  readonly piece: Parameters<typeof usePieceEdit>[0];
  readonly mends: readonly PieceMend[];
}) {
  const { editPiece } = usePieceEdit(piece);
  return (
    <div className="flex flex-wrap gap-2" role="group" aria-label={`What would make ${piece.name}`}>
      {mends.map(({ title, change }) => (
        <button
          key={title}
          type="button"
          className="btn touch h-auto max-w-full py-2 text-left whitespace-normal"
          onClick={() => editPiece(change)}
        >
          {title}
        </button>
      ))}
    </div>
  );
}
