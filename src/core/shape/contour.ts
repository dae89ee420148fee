import type { Outline } from "./outline";
import { centrePolygon, type Point, type Polygon } from "./polygon";

/** A chord of a curve strays at most this far from it, mm: half the width of a knife's line. */
const CHORD_ERROR_MM = 0.05;
const LEAST_CHORDS = 16;
/** How far in a star's hollows lie, as a share of its points' distance: a cutter's usual, neither spiky nor blunt. */
const STAR_INNER_SHARE = 0.55;

/** The outer edge as straight pieces about the middle of its box, clockwise as seen. Corners of curves lie on the curve. */
export function toContour(outline: Outline): Polygon {
  switch (outline.kind) {
    case "disc":
    case "ring":
      return ellipse(outline.diameterMm, outline.diameterMm);
    case "oval":
      return ellipse(outline.widthMm, outline.heightMm);
    case "square":
      return box(outline.sideMm, outline.sideMm);
    case "rectangle":
      return box(outline.widthMm, outline.heightMm);
    case "triangle": {
      const half = outline.legMm / 2;
      return [
        [-half, -half],
        [half, -half],
        [-half, half],
      ];
    }
    case "polygon":
      return centrePolygon(
        corners(outline.sides, (i) => onCircle(outline.diameterMm / 2, i / outline.sides)),
      );
    case "star":
      return centrePolygon(
        corners(2 * outline.points, (i) =>
          onCircle((outline.diameterMm / 2) * (i % 2 === 0 ? 1 : STAR_INNER_SHARE), i / (2 * outline.points)),
        ),
      );
    case "scalloped":
      return centrePolygon(scallops(outline.diameterMm, outline.lobes));
    case "heart":
      return fitTo(heart(countChords(Math.max(outline.widthMm, outline.heightMm) / 2)), outline);
    case "leaf":
      return leaf(outline.widthMm, outline.heightMm);
    case "path":
      return outline.corners;
  }
}

const corners = (count: number, at: (i: number) => Point): Polygon =>
  Array.from({ length: count }, (_, i) => at(i));

/** A point so many turns clockwise from the top. */
const onCircle = (radiusMm: number, turns: number): Point => [
  radiusMm * Math.sin(2 * Math.PI * turns),
  -radiusMm * Math.cos(2 * Math.PI * turns),
];

/** Chords of a whole circle so that none strays too far; a multiple of four keeps the box exact. */
function countChords(radiusMm: number): number {
  const halfAngle = Math.acos(Math.max(1 - CHORD_ERROR_MM / radiusMm, 0.5));
  return 4 * Math.max(Math.ceil(Math.PI / halfAngle / 4), LEAST_CHORDS / 4);
}

function box(widthMm: number, heightMm: number): Polygon {
  const [x, y] = [widthMm / 2, heightMm / 2];
  return [
    [-x, -y],
    [x, -y],
    [x, y],
    [-x, y],
  ];
}

function ellipse(widthMm: number, heightMm: number): Polygon {
  const count = countChords(Math.max(widthMm, heightMm) / 2);
  return corners(count, (i) => {
    const [x, y] = onCircle(0.5, i / count);
    return [x * widthMm, y * heightMm];
  });
}

/**
 * Lobes that touch each other on a circle inside the edge: with n lobes of radius ρ on a circle of radius c,
 * ρ = c·sin(π/n) and c + ρ is half the width across the lobes.
 */
function scallops(diameterMm: number, lobes: number): Polygon {
  const sine = Math.sin(Math.PI / lobes);
  const circleMm = diameterMm / 2 / (1 + sine);
  const lobeMm = circleMm * sine;
  const perLobe = Math.max(Math.ceil(countChords(lobeMm) / 2), 4);
  const spanTurns = 0.5 + 1 / lobes;
  return Array.from({ length: lobes }, (_, lobe) => {
    const [x, y] = onCircle(circleMm, lobe / lobes);
    return corners(perLobe, (i) => {
      const [dx, dy] = onCircle(lobeMm, lobe / lobes - spanTurns / 2 + (spanTurns * i) / perLobe);
      return [x + dx, y + dy];
    });
  }).flat();
}

/** The heart curve x = 16 sin³t, y = 13 cos t − 5 cos 2t − 2 cos 3t − cos 4t, tip down. */
function heart(count: number): Polygon {
  return corners(count, (i) => {
    const t = (2 * Math.PI * i) / count;
    return [
      16 * Math.sin(t) ** 3,
      -(13 * Math.cos(t) - 5 * Math.cos(2 * t) - 2 * Math.cos(3 * t) - Math.cos(4 * t)),
    ];
  });
}

/** Two equal circular arcs from tip to tip along x. Wider than high; as high as wide it is a disc. */
function leaf(widthMm: number, heightMm: number): Polygon {
  if (heightMm > widthMm) return leaf(heightMm, widthMm).map(([x, y]) => [-y, x] as const);
  const [half, rise] = [widthMm / 2, heightMm / 2];
  const radiusMm = (half ** 2 + rise ** 2) / (2 * rise);
  // As high as wide, the radius may be less than half the width by the last bit.
  const halfAngle = Math.asin(Math.min(half / radiusMm, 1));
  const count = Math.max(Math.ceil((countChords(radiusMm) * halfAngle) / Math.PI), LEAST_CHORDS / 2);
  const arc = corners(count, (i) => {
    const angle = -halfAngle + (2 * halfAngle * i) / count;
    return [radiusMm * Math.sin(angle), radiusMm - rise - radiusMm * Math.cos(angle)];
  });
  return [...arc, ...arc.map(([x, y]) => [-x, -y] as const)];
}

function fitTo(polygon: Polygon, { widthMm, heightMm }: { widthMm: number; heightMm: number }): Polygon {
  const centred = centrePolygon(polygon);
  const x = Math.max(...centred.map((point) => point[0]));
  const y = Math.max(...centred.map((point) => point[1]));
  return centred.map((point) => [(point[0] * widthMm) / (2 * x), (point[1] * heightMm) / (2 * y)] as const);
}
