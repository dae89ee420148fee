"use client";

import { TriangleAlert } from "lucide-react";
import type { PieceMend, Station } from "@/core/plan";
import { createMendsClient, type MendsRequest } from "@/workers/createPlanClient";
import { useBench, usePicked } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { usePieceEdit } from "../bench/usePieceEdit";

/** What this station needs decided, in full; what stops a piece is said at every station, with what would mend it. */
export function ProblemList({ station }: { readonly station: Station }) {
  const problems = useBench((state) => state.plan.problems);
  const here = problems.filter((problem) => problem.station === station || problem.stops);
  if (here.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2" aria-label="To decide">
      {here.map(({ message, stops, pieceId }) => (
        <li key={message} className="flex gap-2 rounded-lg border-2 border-error bg-base-100 p-3">
          <TriangleAlert size={22} className="shrink-0 text-error" aria-hidden />
          <div className="flex flex-col gap-2">
            <span>{message}</span>
            {stops && pieceId !== null && <Mends pieceId={pieceId} />}
          </div>
        </li>
      ))}
    </ul>
  );
}

/** Changes that would each make the piece, a tap each. Nothing is said while they are sought, or where there is none. */
function Mends({ pieceId }: { readonly pieceId: string }) {
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
        <button key={title} type="button" className="btn touch" onClick={() => editPiece(change)}>
          {title}
        </button>
      ))}
    </div>
  );
}
