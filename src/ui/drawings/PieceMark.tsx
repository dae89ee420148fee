"use client";

import { memo } from "react";
import { boundsOfPolygon } from "@/core/shape";
import { useBench } from "../bench/BenchProvider";
import { OutlineIcon } from "./OutlineShape";
import { PieceFace, type Face } from "./PieceFace";

interface FaceMarkProps extends Face {
  readonly sizePx?: number;
}

/** As large as a finger's breadth. */
const MARK_PX = 40;
/** A thin line of a mark, px: thinner ones are lost at arm's length. */
const LINE_PX = 1.2;

/**
 * A piece as a small picture beside its name, as large as it goes into a square. Drawn anew only when its face changes: a
 * dial tells its plan many times a second, with a dozen of them in it.
 */
export const FaceMark = memo(function FaceMark({ fromAbove, vents, sizePx = MARK_PX }: FaceMarkProps) {
  const { leftMm, rightMm, topMm, bottomMm } = boundsOfPolygon([
    ...fromAbove.edge,
    ...(fromAbove.stick ?? []),
  ]);
  const side = Math.max(rightMm - leftMm, bottomMm - topMm) * 1.08;
  return (
    <svg
      viewBox={`${(leftMm + rightMm - side) / 2} ${(topMm + bottomMm - side) / 2} ${side} ${side}`}
      width={sizePx}
      height={sizePx}
      className="shrink-0"
      aria-hidden
    >
      <PieceFace fromAbove={fromAbove} vents={vents} strokeMm={(LINE_PX * side) / sizePx} />
    </svg>
  );
});

/** The same of a piece of the book; what cannot be made as it is shows its cut. Nothing where there is no such piece. */
export function PieceMark({
  pieceId,
  sizePx = MARK_PX,
}: {
  readonly pieceId: string;
  readonly sizePx?: number;
}) {
  const piece = useBench(({ book }) => book.pieces.find(({ id }) => id === pieceId));
  const formed = useBench(({ plan }) => plan.shaped[pieceId]?.formed);
  if (!piece) return null;
  if (!formed) return <OutlineIcon outline={piece.cut} sizePx={sizePx} />;
  return <FaceMark fromAbove={formed.fromAbove} vents={piece.vents} sizePx={sizePx} />;
}
