import { boundsOfPolygon, type Point, type Polygon } from "./polygon";

/**
 * Whether two polygons lie over each other by more than a tolerance: touching along an edge or at a corner is not
 * overlapping. Seen by edges that cross; where none do, what they share is as wide as it gets on the level line half way
 * between two corners. O((corners of one + corners of the other)²).
 */
export function doOverlap(one: Polygon, other: Polygon, toleranceMm: number): boolean {
  const [a, b] = [boundsOfPolygon(one), boundsOfPolygon(other)];
  const [topMm, bottomMm] = [Math.max(a.topMm, b.topMm), Math.min(a.bottomMm, b.bottomMm)];
  const areApart =
    a.leftMm >= b.rightMm - toleranceMm ||
    b.leftMm >= a.rightMm - toleranceMm ||
    topMm >= bottomMm - toleranceMm;
  if (areApart) return false;
  if (doEdgesCross(one, other, toleranceMm)) return true;
  const levels = [topMm, bottomMm];
  for (const polygon of [one, other])
    for (const [, y] of polygon) if (y > topMm && y < bottomMm) levels.push(y);
  levels.sort((low, high) => low - high);
  return levels.some((y, i) => {
    const next = levels[i + 1] ?? y;
    return next - y > toleranceMm && findSharedMm(one, other, (y + next) / 2) > toleranceMm;
  });
}

/** The longest piece of a level line that lies in both polygons, mm; 0 if none does. */
export function findSharedMm(one: Polygon, other: Polygon, y: number): number {
  const [ones, others] = [listCrossings(one, y), listCrossings(other, y)];
  let mostMm = 0;
  for (let i = 0; i + 1 < ones.length; i += 2)
    for (let j = 0; j + 1 < others.length; j += 2)
      mostMm = Math.max(mostMm, Math.min(ones[i + 1]!, others[j + 1]!) - Math.max(ones[i]!, others[j]!));
  return mostMm;
}

/** Whether an edge of one crosses an edge of the other, both ends of each farther from the other than the tolerance. */
function doEdgesCross(one: Polygon, other: Polygon, toleranceMm: number): boolean {
  for (let i = 0; i < one.length; i++) {
    const a = one[i]!;
    const b = one[(i + 1) % one.length]!;
    const leftMm = Math.min(a[0], b[0]);
    const rightMm = Math.max(a[0], b[0]);
    const topMm = Math.min(a[1], b[1]);
    const bottomMm = Math.max(a[1], b[1]);
    for (let j = 0; j < other.length; j++) {
      const c = other[j]!;
      const d = other[(j + 1) % other.length]!;
      if ((c[0] < leftMm && d[0] < leftMm) || (c[0] > rightMm && d[0] > rightMm)) continue;
      if ((c[1] < topMm && d[1] < topMm) || (c[1] > bottomMm && d[1] > bottomMm)) continue;
      if (areOnBothSides(a, b, c, d, toleranceMm) && areOnBothSides(c, d, a, b, toleranceMm)) return true;
    }
  }
  return false;
}

/** Whether two points lie on either side of a line, each farther from it than the tolerance. */
function areOnBothSides(p: Point, q: Point, from: Point, to: Point, toleranceMm: number): boolean {
  const dx = to[0] - from[0];
  const dy = to[1] - from[1];
  const far = toleranceMm * Math.hypot(dx, dy);
  const one = dx * (p[1] - from[1]) - dy * (p[0] - from[0]);
  const other = dx * (q[1] - from[1]) - dy * (q[0] - from[0]);
  return (one > far && other < -far) || (one < -far && other > far);
}

/** Where a level line enters and leaves a polygon, from the left. */
function listCrossings(polygon: Polygon, y: number): number[] {
  const xs: number[] = [];
  for (let i = 0; i < polygon.length; i++) {
    const from = polygon[i]!;
    const to = polygon[(i + 1) % polygon.length]!;
    if (from[1] > y !== to[1] > y) xs.push(from[0] + ((y - from[1]) / (to[1] - from[1])) * (to[0] - from[0]));
  }
  return xs.sort((a, b) => a - b);
}
