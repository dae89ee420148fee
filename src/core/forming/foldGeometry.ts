import type { BoxMm, Outline } from "../shape";

/** A round folded to a half-moon, a square folded corner to corner, a rectangle or square folded in half. */
export type FoldForm = "halfMoon" | "triangle" | "rectangle";

/** A folded blank seen from above: the fold lies along x, the open edge at positive y. */
export interface FoldGeometry {
  /** Length of the fold, mm. */
  readonly foldMm: number;
  /** From the fold to the open edge at its farthest, mm. */
  readonly depthMm: number;
  /** Length of the open edge that is sealed, mm. */
  readonly seamMm: number;
  /** Half the fold's length inside the margin, mm; 0 or less if the margin leaves nothing. */
  readonly filledHalfMm: (marginMm: number) => number;
  /** From the fold to the margin's inner edge at distance x from the middle of the fold, mm. */
  readonly filledDepthMm: (xMm: number, marginMm: number) => number;
  /** Corners and curve of the folded piece, mm, the middle of the fold at the origin. */
  readonly edgePoints: readonly (readonly [number, number])[];
  readonly box: BoxMm;
  /** Its ends are seams as long as the piece is deep: it is a pocket, not a roll that runs out to nothing. */
  readonly hasClosedEnds: boolean;
}

/** Points that draw a half-moon's curve: fine enough that a chord strays less than 0.05 mm at 150 mm. */
const CURVE_POINTS = 96;

/**
 * The geometry of a folded blank. The margin is measured square to the edge, as a finger's width is.
 * @returns null if this outline cannot be folded to this form.
 */
export function computeFoldGeometry(form: FoldForm, blank: Outline): FoldGeometry | null {
  if (form === "halfMoon" && blank.kind === "disc") return foldDisc(blank.diameterMm / 2);
  if (form === "triangle" && blank.kind === "square") return foldCorners(blank.sideMm);
  if (form === "rectangle" && blank.kind === "square") return foldInHalf(blank.sideMm, blank.sideMm);
  if (form === "rectangle" && blank.kind === "rectangle") {
    // The long way is halved: the piece keeps the shorter side as its fold.
    return foldInHalf(Math.min(blank.widthMm, blank.heightMm), Math.max(blank.widthMm, blank.heightMm));
  }
  return null;
}

function foldDisc(radiusMm: number): FoldGeometry {
  return {
    foldMm: 2 * radiusMm,
    depthMm: radiusMm,
    seamMm: Math.PI * radiusMm,
    filledHalfMm: (marginMm) => radiusMm - marginMm,
    filledDepthMm: (xMm, marginMm) => Math.sqrt(Math.max((radiusMm - marginMm) ** 2 - xMm ** 2, 0)),
    edgePoints: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
      const angle = (Math.PI * i) / CURVE_POINTS;
      return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)] as const;
    }),
    box: { widthMm: 2 * radiusMm, heightMm: radiusMm },
    hasClosedEnds: false,
  };
}

function foldCorners(sideMm: number): FoldGeometry {
  const halfMm = sideMm / Math.SQRT2;
  return {
    foldMm: 2 * halfMm,
    depthMm: halfMm,
    seamMm: 2 * sideMm,
    filledHalfMm: (marginMm) => halfMm - marginMm * Math.SQRT2,
    filledDepthMm: (xMm, marginMm) => Math.max(halfMm - marginMm * Math.SQRT2 - Math.abs(xMm), 0),
    edgePoints: [
      [halfMm, 0],
      [0, halfMm],
      [-halfMm, 0],
    ],
    box: { widthMm: 2 * halfMm, heightMm: halfMm },
    hasClosedEnds: false,
  };
}

function foldInHalf(foldMm: number, lengthMm: number): FoldGeometry {
  const depthMm = lengthMm / 2;
  return {
    foldMm,
    depthMm,
    seamMm: foldMm + 2 * depthMm,
    filledHalfMm: (marginMm) => (Math.min(foldMm / 2, depthMm) - marginMm > 0 ? foldMm / 2 - marginMm : 0),
    filledDepthMm: (_xMm, marginMm) => Math.max(depthMm - marginMm, 0),
    edgePoints: [
      [foldMm / 2, 0],
      [foldMm / 2, depthMm],
      [-foldMm / 2, depthMm],
      [-foldMm / 2, 0],
    ],
    box: { widthMm: foldMm, heightMm: depthMm },
    hasClosedEnds: true,
  };
}
