"use client";

import type { Piece } from "@/core/plan";
import { describeOutline, type Outline } from "@/core/shape";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Dial } from "../controls/Dial";
import { pieceLimits } from "@/schemas/limits";

/** Slider ends for a cut: what small pastry is made of. The field takes more. */
const SLIDER = { sliderMin: 50, sliderMax: 200 };

/** The size of the cut, by its outline, and whether the drawer holds such a cutter. */
export function CutSizeDials({ piece }: { readonly piece: Piece }) {
  const { editPiece } = usePieceEdit(piece);
  const cutters = useBench((state) => state.book.cutters);
  const { cut } = piece;
  const set = (next: Outline) => editPiece({ cut: next });
  const hint = describeDrawer(
    cut,
    cutters.map(({ outline }) => outline),
  );
  switch (cut.kind) {
    case "disc":
      return (
        <Dial
          limit={pieceLimits.diameterMm}
          value={cut.diameterMm}
          {...SLIDER}
          hint={hint}
          onChange={(diameterMm) => set({ kind: "disc", diameterMm })}
        />
      );
    case "square":
      return (
        <Dial
          limit={pieceLimits.sideMm}
          value={cut.sideMm}
          {...SLIDER}
          hint={hint}
          onChange={(sideMm) => set({ kind: "square", sideMm })}
        />
      );
    case "rectangle":
      return (
        <>
          <Dial
            limit={pieceLimits.widthMm}
            value={cut.widthMm}
            {...SLIDER}
            onChange={(widthMm) => set({ ...cut, widthMm })}
          />
          <Dial
            limit={pieceLimits.heightMm}
            value={cut.heightMm}
            {...SLIDER}
            hint={hint}
            onChange={(heightMm) => set({ ...cut, heightMm })}
          />
        </>
      );
  }
}

/** A cutter this near to the wanted size is the wanted one, mm: less than dough shows. */
const SAME_MM = 0.5;

function describeDrawer(cut: Outline, drawer: readonly Outline[]): string {
  if (cut.kind !== "disc") return "cut with wheel and ruler";
  const rounds = drawer.flatMap((outline) => (outline.kind === "disc" ? [outline.diameterMm] : []));
  if (rounds.length === 0) return "no round cutter in the drawer (Kit)";
  const nearest = rounds.reduce((best, size) =>
    Math.abs(size - cut.diameterMm) < Math.abs(best - cut.diameterMm) ? size : best,
  );
  const overMm = nearest - cut.diameterMm;
  if (Math.abs(overMm) < SAME_MM) return "in the drawer";
  return `nearest in the drawer: ${describeOutline({ kind: "disc", diameterMm: nearest })}, ${Math.abs(overMm)} mm ${overMm > 0 ? "larger" : "smaller"}`;
}
