import { computeBox, type Outline, type OutlineKind, type Point } from "@/core/shape";

/** An outline as columns: its kind, its box (of a ring, outside and hole), its count of corners, its path. */
export interface OutlineColumns {
  readonly kind: OutlineKind;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Sides of a polygon, points of a star, lobes of a scalloped round. */
  readonly corners: number | null;
  /** Of a drawn outline, its corners as `x,y x,y …` in mm. */
  readonly path: string | null;
}

export function toOutlineColumns(outline: Outline): OutlineColumns {
  const box = { kind: outline.kind, ...computeBox(outline), corners: null, path: null };
  switch (outline.kind) {
    case "ring":
      return { ...box, heightMm: outline.holeMm };
    // The box of these depends on their corners; what is kept is the width across them.
    case "polygon":
      return { ...box, widthMm: outline.diameterMm, heightMm: outline.diameterMm, corners: outline.sides };
    case "scalloped":
      return { ...box, widthMm: outline.diameterMm, heightMm: outline.diameterMm, corners: outline.lobes };
    case "star":
      return { ...box, widthMm: outline.diameterMm, heightMm: outline.diameterMm, corners: outline.points };
    case "path":
      return { ...box, path: outline.corners.map((point) => point.join(",")).join(" ") };
    default:
      return box;
  }
}

/** The outline of these columns. @throws {RangeError} If a drawn outline has lost its path. */
export function fromOutlineColumns(columns: OutlineColumns): Outline {
  const { kind, widthMm, heightMm } = columns;
  const corners = columns.corners ?? 0;
  switch (kind) {
    case "disc":
      return { kind, diameterMm: widthMm };
    case "square":
      return { kind, sideMm: widthMm };
    case "triangle":
      return { kind, legMm: widthMm };
    case "ring":
      return { kind, diameterMm: widthMm, holeMm: heightMm };
    case "polygon":
      return { kind, diameterMm: widthMm, sides: corners };
    case "scalloped":
      return { kind, diameterMm: widthMm, lobes: corners };
    case "star":
      return { kind, diameterMm: widthMm, points: corners };
    case "path":
      if (!columns.path) throw new RangeError("A drawn outline has no path");
      return { kind, corners: columns.path.split(" ").map(toPoint) };
    default:
      return { kind, widthMm, heightMm };
  }
}

function toPoint(text: string): Point {
  const [x, y] = text.split(",").map(Number);
  return [x ?? 0, y ?? 0];
}
