import type { BoxMm, HalfPlane } from "../shape";

/** Where the middles of cuts may lie, from the corner of its box. */
export interface Room extends BoxMm {
  /**
   * How far a point lies beyond the edge.
   * @param out - Takes the way from the edge to the point, mm: both 0 inside.
   */
  readonly beyond: (xMm: number, yMm: number, out: Float64Array) => void;
}

export const rectangularRoom = ({ widthMm, heightMm }: BoxMm): Room => ({
  widthMm,
  heightMm,
  beyond(x, y, out) {
    out[0] = x < 0 ? x : x > widthMm ? x - widthMm : 0;
    out[1] = y < 0 ? y : y > heightMm ? y - heightMm : 0;
  },
});

/**
 * What lies within half planes, in a box around it. A point beyond several is told by the one that it is furthest beyond.
 */
export function convexRoom({ widthMm, heightMm }: BoxMm, planes: readonly HalfPlane[]): Room {
  const [middleX, middleY] = [widthMm / 2, heightMm / 2];
  // So far from the middle nothing is beyond any of them: most points need no look at each.
  const freeMm = planes.reduce(
    (least, { nx, ny, reachMm }) => Math.min(least, reachMm - nx * middleX - ny * middleY),
    Infinity,
  );
  return {
    widthMm,
    heightMm,
    beyond(x, y, out) {
      out[0] = 0;
      out[1] = 0;
      if (freeMm > 0 && (x - middleX) ** 2 + (y - middleY) ** 2 <= freeMm ** 2) return;
      let furthestMm = 0;
      for (const { nx, ny, reachMm } of planes) {
        const overMm = nx * x + ny * y - reachMm;
        if (overMm <= furthestMm) continue;
        furthestMm = overMm;
        out[0] = nx * overMm;
        out[1] = ny * overMm;
      }
    },
  };
}
