"use client";

import { usePathname, useRouter, useSearchParams } from "next/navigation";
import { TriangleAlert } from "lucide-react";
import { groupOrders, type Piece, type PiecePlan } from "@/core/plan";
import { usePicked } from "../bench/BenchProvider";

/** A piece of the day: as it is planned, or alone where something stops it. */
interface DayPiece {
  readonly piece: Piece;
  readonly line: PiecePlan | null;
}

/** What is ordered, each in its place whether it can be made as it is or not. */
function useDayPieces(): readonly DayPiece[] {
  const { plan, book } = usePicked("plan", "book");
  return [...groupOrders(book).keys()].flatMap((piece): DayPiece[] => {
    const line = plan.lines.find((planned) => planned.piece.id === piece.id);
    if (line) return [{ piece: line.piece, line }];
    const isStopped = plan.problems.some(({ stops, pieceId }) => stops && pieceId === piece.id);
    return isStopped ? [{ piece, line: null }] : [];
  });
}

/** The piece the stations are looking at: named in the address, so that a reload keeps it. */
export function useSelectedPiece(): DayPiece | null {
  const pieces = useDayPieces();
  const wanted = useSearchParams().get("piece");
  return pieces.find(({ piece }) => piece.id === wanted) ?? pieces[0] ?? null;
}

/** The plan of that piece; null where it cannot be made as it is. */
export const useSelectedLine = (): PiecePlan | null => useSelectedPiece()?.line ?? null;

/** Which of the day's pieces to look at. */
export function PieceTabs() {
  const pieces = useDayPieces();
  const selected = useSelectedPiece();
  const router = useRouter();
  const pathname = usePathname();
  if (pieces.length < 2) return null;
  return (
    <div role="group" aria-label="Piece" className="flex flex-wrap gap-1.5">
      {pieces.map(({ piece, line }) => (
        <button
          key={piece.id}
          type="button"
          aria-pressed={piece.id === selected?.piece.id}
          className="touch inline-flex cursor-pointer items-center gap-1.5 rounded-lg border-2 border-transparent px-3 aria-pressed:border-primary aria-pressed:bg-base-100 aria-pressed:font-bold"
          onClick={() => router.replace(`${pathname}?piece=${piece.id}`, { scroll: false })}
        >
          {!line && <TriangleAlert size={18} className="text-error" aria-label="cannot be made:" />}
          {piece.name}
        </button>
      ))}
    </div>
  );
}
