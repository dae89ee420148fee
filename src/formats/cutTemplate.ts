import type { Placement } from "@/core/cutting";
import { placePolygon, toContour, type Outline, type Polygon, type SheetShape } from "@/core/shape";

/** A sheet with its cuts, to be drawn at true size. */
export interface CutTemplate {
  readonly title: string;
  readonly sheet: SheetShape;
  readonly parts: readonly { readonly outline: Outline; readonly placements: readonly Placement[] }[];
}

/** A straight measure printed with every template, so that a scaled print is noticed, mm. */
export const CHECK_BAR_MM = 100;

/** One line to cut along, placed on the sheet: circles as circles, everything else as its corners. */
export type CutLine =
  | { readonly kind: "circle"; readonly xMm: number; readonly yMm: number; readonly radiusMm: number }
  | { readonly kind: "polygon"; readonly corners: Polygon };

/** A cut on the sheet: its lines, a ring having two, and where its number is written. */
export interface PlacedCut {
  readonly xMm: number;
  readonly yMm: number;
  readonly lines: readonly CutLine[];
}

/** Every cut of a template in the order of cutting. */
export function listCuts({ parts }: CutTemplate): PlacedCut[] {
  return parts.flatMap(({ outline, placements }) =>
    placements.map((placement) => ({
      xMm: placement.xMm,
      yMm: placement.yMm,
      lines: toLines(outline, placement),
    })),
  );
}

function toLines(outline: Outline, { xMm, yMm, angleDeg }: Placement): CutLine[] {
  const circle = (diameterMm: number): CutLine => ({ kind: "circle", xMm, yMm, radiusMm: diameterMm / 2 });
  if (outline.kind === "disc") return [circle(outline.diameterMm)];
  if (outline.kind === "ring") return [circle(outline.diameterMm), circle(outline.holeMm)];
  return [{ kind: "polygon", corners: placePolygon(toContour(outline), xMm, yMm, angleDeg) }];
}
