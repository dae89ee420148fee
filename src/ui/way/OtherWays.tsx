"use client";

import type { Piece } from "@/core/plan";
import { findReadyWay, listReadyWays, settleWay } from "@/core/way";

interface Props {
  readonly piece: Piece;
  readonly onTake: (fields: Partial<Piece>) => void;
}

/** The ways in which bakers make this form, each with why; taking one keeps the piece's wash, vents and glaze. */
export function OtherWays({ piece, onTake }: Props) {
  const current = findReadyWay(piece.form, piece.way);
  return (
    <ul aria-label="Ways ready to take" className="grid gap-2 sm:grid-cols-2">
      {listReadyWays(piece.form).map(({ id, name, why, way }) => (
        <li key={id}>
          <button
            type="button"
            aria-pressed={id === current?.id}
            className="flex h-full w-full cursor-pointer flex-col rounded-xl border-2 border-base-300 bg-base-100 p-3 text-left aria-pressed:border-primary"
            onClick={() => onTake({ way: settleWay(way, piece) })}
          >
            <strong className="text-lg">{name}</strong>
            <span className="quiet text-sm">{why}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
