import type { BoxMm } from "./box";
import { toContour } from "./contour";
import type { Outline } from "./outline";
import { areaMm2OfPolygon, boxOfPolygon, perimeterMmOfPolygon } from "./polygon";
import { formatLength, formatSides } from "../units";

/**
 * Area of dough in the cut, mm²; a ring's without its centre.
 * @example computeAreaMm2({ kind: "disc", diameterMm: 90 }) // 6361.7 mm²
 * @example computeAreaMm2({ kind: "triangle", legMm: 100 }) // 5000 mm²
 */
export function computeAreaMm2(outline: Outline): number {
  switch (outline.kind) {
    case "disc":
      return (Math.PI * outline.diameterMm ** 2) / 4;
    case "oval":
      return (Math.PI * outline.widthMm * outline.heightMm) / 4;
    case "ring":
      return (Math.PI * (outline.diameterMm ** 2 - outline.holeMm ** 2)) / 4;
    case "square":
      return outline.sideMm ** 2;
    case "rectangle":
      return outline.widthMm * outline.heightMm;
    case "triangle":
      return outline.legMm ** 2 / 2;
    default:
      return areaMm2OfPolygon(toContour(outline));
  }
}

/** Length of the outer edge, mm. */
export function computePerimeterMm(outline: Outline): number {
  switch (outline.kind) {
    case "disc":
    case "ring":
      return Math.PI * outline.diameterMm;
    case "square":
    case "rectangle": {
      const { widthMm, heightMm } = computeBox(outline);
      return 2 * (widthMm + heightMm);
    }
    default:
      return perimeterMmOfPolygon(toContour(outline));
  }
}

/** The upright box that holds the outline, mm. */
export function computeBox(outline: Outline): BoxMm {
  switch (outline.kind) {
    case "disc":
    case "ring":
      return { widthMm: outline.diameterMm, heightMm: outline.diameterMm };
    case "square":
      return { widthMm: outline.sideMm, heightMm: outline.sideMm };
    case "triangle":
      return { widthMm: outline.legMm, heightMm: outline.legMm };
    case "rectangle":
    case "oval":
    case "heart":
    case "leaf":
      return { widthMm: outline.widthMm, heightMm: outline.heightMm };
    default:
      return boxOfPolygon(toContour(outline));
  }
}

/** The outline with every length multiplied by `factor` (> 0). */
export function scaleOutline(outline: Outline, factor: number): Outline {
  switch (outline.kind) {
    case "square":
      return { kind: "square", sideMm: outline.sideMm * factor };
    case "triangle":
      return { kind: "triangle", legMm: outline.legMm * factor };
    case "ring":
      return { kind: "ring", diameterMm: outline.diameterMm * factor, holeMm: outline.holeMm * factor };
    case "path":
      return { kind: "path", corners: outline.corners.map(([x, y]) => [x * factor, y * factor] as const) };
    case "disc":
    case "polygon":
    case "scalloped":
    case "star":
      return { ...outline, diameterMm: outline.diameterMm * factor };
    default:
      return { ...outline, widthMm: outline.widthMm * factor, heightMm: outline.heightMm * factor };
  }
}

/**
 * The outline in words: `90 mm round`, `110 mm square`, `120 × 80 mm`, `120 × 80 mm oval`.
 * @example describeOutline({ kind: "oval", widthMm: 120, heightMm: 80 }) // "120 × 80 mm oval"
 */
export function describeOutline(outline: Outline): string {
  const { widthMm, heightMm } = computeBox(outline);
  const both = formatSides([widthMm, heightMm], 1);
  switch (outline.kind) {
    case "disc":
      return `${formatLength(outline.diameterMm, 1)} round`;
    case "ring":
      return `${formatLength(outline.diameterMm, 1)} ring, ${formatLength(outline.holeMm, 1)} centre`;
    case "square":
      return `${formatLength(outline.sideMm, 1)} square`;
    case "triangle":
      return `${formatLength(outline.legMm, 1)} half square`;
    case "rectangle":
      return both;
    case "polygon":
      return `${formatLength(outline.diameterMm, 1)} ${outline.sides}-cornered`;
    case "scalloped":
      return `${formatLength(outline.diameterMm, 1)} scalloped`;
    case "star":
      return `${formatLength(outline.diameterMm, 1)} star`;
    case "path":
      return `${both}, drawn`;
    default:
      return `${both} ${outline.kind}`;
  }
}

/** What the knife follows first: a ring is cut as the disc its centre is then taken from. */
export function outerOutline(outline: Outline): Outline {
  return outline.kind === "ring" ? { kind: "disc", diameterMm: outline.diameterMm } : outline;
}
