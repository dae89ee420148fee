/** A flat outline as it is cut, about its own centre. All lengths mm, all above 0. */
export type Outline =
  | { readonly kind: "disc"; readonly diameterMm: number }
  | { readonly kind: "square"; readonly sideMm: number }
  | { readonly kind: "rectangle"; readonly widthMm: number; readonly heightMm: number };

/** Width and height of an upright box, mm. */
export interface BoxMm {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Area enclosed, mm². */
export function computeAreaMm2(outline: Outline): number {
  if (outline.kind === "disc") return (Math.PI * outline.diameterMm ** 2) / 4;
  const { widthMm, heightMm } = computeBox(outline);
  return widthMm * heightMm;
}

/** Length of the edge, mm. */
export function computePerimeterMm(outline: Outline): number {
  if (outline.kind === "disc") return Math.PI * outline.diameterMm;
  const { widthMm, heightMm } = computeBox(outline);
  return 2 * (widthMm + heightMm);
}

/** The upright box that holds the outline, mm. */
export function computeBox(outline: Outline): BoxMm {
  switch (outline.kind) {
    case "disc":
      return { widthMm: outline.diameterMm, heightMm: outline.diameterMm };
    case "square":
      return { widthMm: outline.sideMm, heightMm: outline.sideMm };
    case "rectangle":
      return { widthMm: outline.widthMm, heightMm: outline.heightMm };
  }
}

/** The outline with every length multiplied by `factor` (> 0). */
export function scaleOutline(outline: Outline, factor: number): Outline {
  switch (outline.kind) {
    case "disc":
      return { kind: "disc", diameterMm: outline.diameterMm * factor };
    case "square":
      return { kind: "square", sideMm: outline.sideMm * factor };
    case "rectangle":
      return { kind: "rectangle", widthMm: outline.widthMm * factor, heightMm: outline.heightMm * factor };
  }
}

/** The outline in words: `90 mm round`, `110 mm square`, `120 × 80 mm`. */
export function describeOutline(outline: Outline): string {
  const round = (lengthMm: number) => Number(lengthMm.toFixed(1));
  switch (outline.kind) {
    case "disc":
      return `${round(outline.diameterMm)} mm round`;
    case "square":
      return `${round(outline.sideMm)} mm square`;
    case "rectangle":
      return `${round(outline.widthMm)} × ${round(outline.heightMm)} mm`;
  }
}
