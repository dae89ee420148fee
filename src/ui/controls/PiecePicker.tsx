"use client";

import { formatMass } from "@/core/units";
import { usePicked } from "../bench/BenchProvider";
import { PieceMark } from "../drawings/PieceMark";
import { Picker } from "./Picker";

interface Props {
  readonly selectedId: string | null;
  readonly onPick: (pieceId: string) => void;
}

/** One of the pieces of the book, each with what it weighs baked. */
export function PiecePicker({ selectedId, onPick }: Props) {
  const { book, plan } = usePicked("book", "plan");
  return (
    <Picker
      label="Piece"
      isLabelShown
      items={book.pieces.map(({ id, name }) => {
        const shaped = plan.shaped[id];
        return {
          id,
          name,
          figure: shaped ? formatMass(shaped.masses.bakedPieceG) : null,
          mark: <PieceMark pieceId={id} />,
        };
      })}
      selectedId={selectedId}
      onPick={onPick}
    />
  );
}
