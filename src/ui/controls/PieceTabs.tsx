"use client";

import { startTransition, useOptimistic } from "react";
import { usePathname, useRouter, useSearchParams } from "next/navigation";
import { groupOrders, type Piece, type PiecePlan } from "@/core/plan";
import { usePicked } from "../bench/BenchProvider";
import { PieceMark } from "../drawings/PieceMark";
import { Picker } from "./Picker";

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

interface Props {
  /** What the station tells of each; as many as are made where it tells nothing of its own. */
  readonly figureOf?: (line: PiecePlan) => string;
}

const countMade = ({ counts }: PiecePlan): string => String(counts.made);

/** Which of the day's pieces to look at. */
export function PieceTabs({ figureOf = countMade }: Props) {
  const pieces = useDayPieces();
  const selected = useSelectedPiece();
  const router = useRouter();
  const pathname = usePathname();
  // Picked at once, whatever the address takes to follow.
  const [pickedId, pick] = useOptimistic(selected?.piece.id ?? null);
  if (pieces.length < 2) return null;
  return (
    <Picker
      label="Piece"
      items={pieces.map(({ piece: { id, name }, line }) => ({
        id,
        name,
        figure: line && figureOf(line),
        mark: <PieceMark pieceId={id} />,
        isIll: !line,
      }))}
      selectedId={pickedId}
      onPick={(id) =>
        startTransition(() => {
          pick(id);
          router.replace(`${pathname}?piece=${id}`, { scroll: false });
        })
      }
    />
  );
}
