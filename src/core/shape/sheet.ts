import type { BoxMm } from "./box";
import type { Polygon } from "./polygon";
import { formatLength, formatSide, formatSides } from "../units";

/** A rolled sheet in its box. `oval` with equal sides is a round sheet. A rectangle where no shape is named. */
export interface SheetShape extends BoxMm {
  readonly shape?: "rectangle" | "oval" | undefined;
}

/** Area of the sheet, mm². */
export function computeSheetAreaMm2({ widthMm, heightMm, shape }: SheetShape): number {
  return widthMm * heightMm * (shape === "oval" ? Math.PI / 4 : 1);
}

/** The round sheet that holds one round of so much across: a hair wider, since its edge is told by tangents. */
export function roundSheetFor(acrossMm: number): SheetShape {
  const sideMm = (acrossMm / Math.cos(Math.PI / OVAL_TANGENTS)) * (1 + ROUNDING);
  return { shape: "oval", widthMm: sideMm, heightMm: sideMm };
}

/** Against the last bit of a float. */
const ROUNDING = 1e-9;

/** The sheet in words: `424 × 313 mm`, `300 mm round`, `400 × 300 mm oval`. */
export function describeSheet({ widthMm, heightMm, shape }: SheetShape): string {
  const both = formatSides([widthMm, heightMm]);
  if (shape !== "oval") return both;
  return formatSide(widthMm, 0) === formatSide(heightMm, 0)
    ? `${formatLength(widthMm, 0)} round`
    : `${both} oval`;
}

/** The side of a straight line on which a body lies: all points p with nx·x + ny·y ≤ reachMm. The normal has length 1. */
export interface HalfPlane {
  readonly nx: number;
  readonly ny: number;
  readonly reachMm: number;
}

/** Tangents that stand for an oval's edge: the polygon they make strays 0.15 ‰ of the radius, 0.03 mm at 400 mm. */
const OVAL_TANGENTS = 180;

/** A sheet as the half planes that bound it, from its top left corner. An oval's are drawn in so that none lies outside. */
export function toHalfPlanes({ widthMm, heightMm, shape }: SheetShape): HalfPlane[] {
  if (shape !== "oval") {
    return [
      { nx: -1, ny: 0, reachMm: 0 },
      { nx: 1, ny: 0, reachMm: widthMm },
      { nx: 0, ny: -1, reachMm: 0 },
      { nx: 0, ny: 1, reachMm: heightMm },
    ];
  }
  // A regular polygon drawn out with the circle: its corners lie on the oval, nearer together where that bends more.
  const drawnIn = Math.cos(Math.PI / OVAL_TANGENTS);
  const [a, b] = [widthMm / 2, heightMm / 2];
  return Array.from({ length: OVAL_TANGENTS }, (_, i) => {
    const angle = (2 * Math.PI * i) / OVAL_TANGENTS;
    const x = b * Math.cos(angle);
    const y = a * Math.sin(angle);
    const length = Math.hypot(x, y);
    const nx = x / length;
    const ny = y / length;
    return { nx, ny, reachMm: ((a * b) / length) * drawnIn + a * nx + b * ny };
  });
}

/** Half planes drawn in by a border and by what reaches from a body's middle: where that middle may lie. */
export function drawIn(
  planes: readonly HalfPlane[],
  borderMm: number,
  reachOf: (nx: number, ny: number) => number,
): HalfPlane[] {
  return planes.map(({ nx, ny, reachMm }) => ({ nx, ny, reachMm: reachMm - borderMm - reachOf(nx, ny) }));
}

/** How far corners reach in a direction from the origin, mm. */
export function reachOfPolygon(polygon: Polygon): (nx: number, ny: number) => number {
  return (nx, ny) => {
    let most = -Infinity;
    for (let i = 0; i < polygon.length; i++) {
      const corner = polygon[i]!;
      const reach = corner[0] * nx + corner[1] * ny;
      if (reach > most) most = reach;
    }
    return most;
  };
}
