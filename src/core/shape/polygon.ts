import type { BoxMm } from "./box";

/** x and y, mm. y runs down, as on a sheet seen from above. */
export type Point = readonly [number, number];
/** A closed line of straight edges: the last corner is joined to the first. */
export type Polygon = readonly Point[];

/** Area enclosed, mm², whichever way round the corners run (shoelace formula). */
export function areaMm2OfPolygon(polygon: Polygon): number {
  let twice = 0;
  for (const [[x1, y1], [x2, y2]] of listEdges(polygon)) twice += x1 * y2 - x2 * y1;
  return Math.abs(twice) / 2;
}

/** Length of the closed line, mm. */
export function perimeterMmOfPolygon(polygon: Polygon): number {
  return listEdges(polygon).reduce((sum, [a, b]) => sum + Math.hypot(b[0] - a[0], b[1] - a[1]), 0);
}

/** Left, top, right and bottom of the corners. */
export function boundsOfPolygon(polygon: Polygon) {
  let [leftMm, topMm, rightMm, bottomMm] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of polygon) {
    leftMm = Math.min(leftMm, x);
    rightMm = Math.max(rightMm, x);
    topMm = Math.min(topMm, y);
    bottomMm = Math.max(bottomMm, y);
  }
  return { leftMm, topMm, rightMm, bottomMm };
}

/** The upright box round a polygon, mm. */
export function boxOfPolygon(polygon: Polygon): BoxMm {
  const { leftMm, topMm, rightMm, bottomMm } = boundsOfPolygon(polygon);
  return { widthMm: rightMm - leftMm, heightMm: bottomMm - topMm };
}

/** The polygon moved so that the middle of its box is at the origin. */
export function centrePolygon(polygon: Polygon): Polygon {
  const { leftMm, topMm, rightMm, bottomMm } = boundsOfPolygon(polygon);
  return polygon.map(([x, y]) => [x - (leftMm + rightMm) / 2, y - (topMm + bottomMm) / 2] as const);
}

/** The polygon turned clockwise (as seen with y down) about the origin, then moved. */
export function placePolygon(polygon: Polygon, xMm: number, yMm: number, angleDeg: number): Polygon {
  const [cos, sin] = [Math.cos((angleDeg * Math.PI) / 180), Math.sin((angleDeg * Math.PI) / 180)];
  return polygon.map(([x, y]) => [xMm + x * cos - y * sin, yMm + x * sin + y * cos] as const);
}

/** Whether a point lies inside (even-odd rule); on the edge either answer may come. O(corners). */
export function isInside([x, y]: Point, polygon: Polygon): boolean {
  let inside = false;
  for (const [[x1, y1], [x2, y2]] of listEdges(polygon)) {
    if (y1 > y !== y2 > y && x < x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)) inside = !inside;
  }
  return inside;
}

/**
 * The gap between two polygons, mm: 0 where they touch, and 0 where they overlap or one holds the other.
 * Exact for straight edges: two segments that do not cross are nearest at an end of one of them. O(n·m).
 * @param enoughMm - A gap of so much or more need not be measured: this much is returned, much sooner. Above 0: of a gap
 * of nothing it could not be told whether two touch or lie over each other.
 */
export function gapMm(one: Polygon, other: Polygon, enoughMm = Infinity): number {
  const [first, second] = [one[0], other[0]];
  if (!first || !second) throw new RangeError("gapMm: a polygon has no corners");
  if (!(enoughMm > 0)) throw new RangeError(`gapMm: enoughMm must be above 0, got ${enoughMm}`);
  if (Number.isFinite(enoughMm) && areBoxesApart(one, other, enoughMm)) return enoughMm;
  if (isInside(first, other) || isInside(second, one)) return 0;
  let squared = enoughMm * enoughMm;
  const others = listEdges(other);
  for (const [a, b] of listEdges(one)) {
    for (const [c, d] of others) {
      // An edge whose box is farther off than the gap so far can neither cross nor be nearer.
      const dx = Math.max(
        Math.min(a[0], b[0]) - Math.max(c[0], d[0]),
        Math.min(c[0], d[0]) - Math.max(a[0], b[0]),
        0,
      );
      const dy = Math.max(
        Math.min(a[1], b[1]) - Math.max(c[1], d[1]),
        Math.min(c[1], d[1]) - Math.max(a[1], b[1]),
        0,
      );
      if (dx * dx + dy * dy >= squared) continue;
      if (cross(a, b, c, d)) return 0;
      const nearest = Math.min(
        distanceToSegmentMm(a, c, d),
        distanceToSegmentMm(b, c, d),
        distanceToSegmentMm(c, a, b),
        distanceToSegmentMm(d, a, b),
      );
      squared = Math.min(squared, nearest * nearest);
    }
  }
  return Math.sqrt(squared);
}

function areBoxesApart(one: Polygon, other: Polygon, byMm: number): boolean {
  const [a, b] = [boundsOfPolygon(one), boundsOfPolygon(other)];
  return (
    a.leftMm - b.rightMm >= byMm ||
    b.leftMm - a.rightMm >= byMm ||
    a.topMm - b.bottomMm >= byMm ||
    b.topMm - a.bottomMm >= byMm
  );
}

/**
 * From a point to the nearest edge of a polygon, mm; 0 inside it. Corners as x, y, x, y …: for walks that ask many
 * thousand times. O(corners), no allocation.
 */
export function distanceToBodyMm(corners: Float64Array, x: number, y: number): number {
  let least = Infinity;
  let inside = false;
  let [x1, y1] = [corners[corners.length - 2]!, corners[corners.length - 1]!];
  for (let i = 0; i < corners.length; i += 2) {
    const x2 = corners[i]!;
    const y2 = corners[i + 1]!;
    if (y1 > y !== y2 > y && x < x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)) inside = !inside;
    const dx = x2 - x1;
    const dy = y2 - y1;
    const squared = dx * dx + dy * dy;
    let t = squared === 0 ? 0 : ((x - x1) * dx + (y - y1) * dy) / squared;
    t = t < 0 ? 0 : t > 1 ? 1 : t;
    const offX = x - x1 - t * dx;
    const offY = y - y1 - t * dy;
    const distance = offX * offX + offY * offY;
    if (distance < least) least = distance;
    x1 = x2;
    y1 = y2;
  }
  return inside ? 0 : Math.sqrt(least);
}

/** Whether the closed line meets itself anywhere but at neighbouring corners. O(corners²). */
export function crossesItself(polygon: Polygon): boolean {
  const edges = listEdges(polygon);
  return edges.some(([a, b], i) =>
    edges.some(([c, d], j) => {
      const areNeighbours = j <= i + 1 || (i === 0 && j === edges.length - 1);
      return !areNeighbours && cross(a, b, c, d);
    }),
  );
}

/** The edges in order. */
export function listEdges(polygon: Polygon): (readonly [Point, Point])[] {
  return polygon.map((from, i) => [from, polygon[(i + 1) % polygon.length] ?? from] as const);
}

/** From a point to the nearest point of a straight piece, mm. */
export function distanceToSegmentMm([x, y]: Point, [x1, y1]: Point, [x2, y2]: Point): number {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const lengthSquared = dx * dx + dy * dy;
  const along = lengthSquared === 0 ? 0 : ((x - x1) * dx + (y - y1) * dy) / lengthSquared;
  const t = Math.min(Math.max(along, 0), 1);
  return Math.hypot(x - x1 - t * dx, y - y1 - t * dy);
}

/** Whether two segments cross properly or one ends on the other. */
function cross(a: Point, b: Point, c: Point, d: Point): boolean {
  const [s1, s2, s3, s4] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  if (s1 * s2 < 0 && s3 * s4 < 0) return true;
  return (
    (s1 === 0 && isBetween(c, a, b)) ||
    (s2 === 0 && isBetween(d, a, b)) ||
    (s3 === 0 && isBetween(a, c, d)) ||
    (s4 === 0 && isBetween(b, c, d))
  );
}

const side = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point) =>
  Math.sign((bx - ax) * (cy - ay) - (by - ay) * (cx - ax));

const isBetween = ([x, y]: Point, [x1, y1]: Point, [x2, y2]: Point) =>
  x >= Math.min(x1, x2) && x <= Math.max(x1, x2) && y >= Math.min(y1, y2) && y <= Math.max(y1, y2);
