import type { Outline } from "@/core/shape";
import { computeBox } from "@/core/shape";

export type OutlineKind = Outline["kind"];

/** An outline as three columns: its kind and its box. */
export function toOutlineColumns(outline: Outline): { kind: OutlineKind; widthMm: number; heightMm: number } {
  return { kind: outline.kind, ...computeBox(outline) };
}

/** The outline of these columns. */
export function fromOutlineColumns(kind: OutlineKind, widthMm: number, heightMm: number): Outline {
  if (kind === "disc") return { kind, diameterMm: widthMm };
  if (kind === "square") return { kind, sideMm: widthMm };
  return { kind, widthMm, heightMm };
}
