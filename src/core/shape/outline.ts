import type { Polygon } from "./polygon";

/**
 * A flat outline as it is cut, about the middle of its box. All lengths mm, all above 0.
 * `triangle` is half a square, the right angle at the top left; `ring` keeps its centre as a cut of its own;
 * `polygon`, `star` and `scalloped` are measured across their outermost points; `path` is any closed outline.
 */
export type Outline =
  | { readonly kind: "disc"; readonly diameterMm: number }
  | { readonly kind: "oval"; readonly widthMm: number; readonly heightMm: number }
  | { readonly kind: "square"; readonly sideMm: number }
  | { readonly kind: "rectangle"; readonly widthMm: number; readonly heightMm: number }
  | { readonly kind: "triangle"; readonly legMm: number }
  | { readonly kind: "ring"; readonly diameterMm: number; readonly holeMm: number }
  | { readonly kind: "polygon"; readonly diameterMm: number; readonly sides: number }
  | { readonly kind: "scalloped"; readonly diameterMm: number; readonly lobes: number }
  | { readonly kind: "star"; readonly diameterMm: number; readonly points: number }
  | { readonly kind: "heart"; readonly widthMm: number; readonly heightMm: number }
  | { readonly kind: "leaf"; readonly widthMm: number; readonly heightMm: number }
  | { readonly kind: "path"; readonly corners: Polygon };

export type OutlineKind = Outline["kind"];
