"use client";

import type { Piece } from "@/core/plan";
import { computeBox, describeOutline, type Outline } from "@/core/shape";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { OutlineDials } from "../controls/OutlineDials";
import { formatLength } from "@/core/units";

/** The size of the cut, by its outline, and whether the drawer holds such a cutter. */
export function CutSizeDials(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  const cutters = useBench((state) => state.book.cutters);
  const hint = describeDrawer(
    piece.cut,
    cutters.map(({ outline }) => outline),
  );
  return <OutlineDials outline={piece.cut} hint={hint} onChange={(cut) => editPiece({ cut })} />;
}

/** A cutter this near to the wanted size is the wanted one, mm: less than dough shows. */
const SAME_MM = 0.5;

function describeDrawer(cut: Outline, drawer: readonly Outline[]): string {
  if (cut.kind === "square" || cut.kind === "rectangle" || cut.kind === "triangle")
    return "cut with wheel and ruler";
  const wide = computeBox(cut);
  const alike = drawer
    .filter(({ kind }) => kind === cut.kind)
    .map((outline) => ({ outline, box: computeBox(outline) }))
    .map(({ outline, box }) => ({
      outline,
      overMm: box.widthMm - wide.widthMm,
      highMm: box.heightMm - wide.heightMm,
    }))
    .sort((a, b) => Math.abs(a.overMm) + Math.abs(a.highMm) - Math.abs(b.overMm) - Math.abs(b.highMm));
  const [nearest] = alike;
  if (!nearest) return "no such cutter in the drawer (Kit)";
  if (Math.abs(nearest.overMm) < SAME_MM && Math.abs(nearest.highMm) < SAME_MM) return "in the drawer";
  const mm = Number(Math.abs(nearest.overMm).toFixed(1));
  return `nearest in the drawer: ${describeOutline(nearest.outline)}, ${formatLength(mm, 2)} ${nearest.overMm > 0 ? "larger" : "smaller"}`;
}
