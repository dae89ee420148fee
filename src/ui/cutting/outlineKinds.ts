import type { Outline, OutlineKind } from "@/core/shape";

/** Outlines by name, in the order in which they are asked for. A ring is made of a disc in its form. */
export const outlineNames: Readonly<Record<Exclude<OutlineKind, "ring">, string>> = {
  disc: "round",
  oval: "oval",
  square: "square",
  rectangle: "rectangle or strip",
  triangle: "half square",
  polygon: "regular polygon",
  scalloped: "scalloped round",
  star: "star",
  heart: "heart",
  leaf: "leaf",
  path: "drawn (SVG path)",
};

export type NamedOutline = keyof typeof outlineNames;

/** A drawn outline to begin with: a drop, so that what a path looks like is seen. */
export const FIRST_PATH =
  "M40 0 C60 30 80 50 80 70 C80 95 60 110 40 110 C20 110 0 95 0 70 C0 50 20 30 40 0 Z";

const MIDDLING_MM = 80;

/** An outline of middling size to begin with. */
export function firstOutline(kind: Exclude<NamedOutline, "path">): Outline {
  switch (kind) {
    case "disc":
      return { kind, diameterMm: MIDDLING_MM };
    case "square":
      return { kind, sideMm: MIDDLING_MM };
    case "triangle":
      return { kind, legMm: MIDDLING_MM };
    case "polygon":
      return { kind, diameterMm: MIDDLING_MM, sides: 6 };
    case "scalloped":
      return { kind, diameterMm: MIDDLING_MM, lobes: 12 };
    case "star":
      return { kind, diameterMm: MIDDLING_MM, points: 5 };
    case "leaf":
      return { kind, widthMm: 45, heightMm: 20 };
    case "rectangle":
      return { kind, widthMm: 300, heightMm: 55 };
    default:
      return { kind, widthMm: 120, heightMm: MIDDLING_MM };
  }
}
