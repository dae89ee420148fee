import type { Placement } from "@/core/cutting";
import { computeBox, type BoxMm, type Outline } from "@/core/shape";

/** A sheet with its cuts, to be drawn at true size. */
export interface CutTemplate {
  readonly title: string;
  readonly sheet: BoxMm;
  readonly outline: Outline;
  readonly placements: readonly Placement[];
}

/** A straight measure printed with every template, so that a scaled print is noticed, mm. */
export const CHECK_BAR_MM = 100;

/** One cut about its centre: a circle, or an upright rectangle as it lies. */
export type CutShape =
  | { readonly kind: "circle"; readonly radiusMm: number }
  | { readonly kind: "rectangle"; readonly widthMm: number; readonly heightMm: number };

/** The shape of a cut as it lies on the sheet. */
export function toCutShape(outline: Outline, { turned }: Placement): CutShape {
  if (outline.kind === "disc") return { kind: "circle", radiusMm: outline.diameterMm / 2 };
  const { widthMm, heightMm } = computeBox(outline);
  return turned
    ? { kind: "rectangle", widthMm: heightMm, heightMm: widthMm }
    : { kind: "rectangle", widthMm, heightMm };
}
