import type { BoxMm, HalfPlane } from "../../shape";

/** Where round cuts may lie, from the corner of its box. */
export interface Room extends BoxMm {
  /**
   * How far a round of `radiusMm` lies beyond the edge.
   * @param out - Takes the way from where its middle should be to where it is, mm: both 0 inside.
   */
  readonly beyond: (xMm: number, yMm: number, radiusMm: number, out: Float64Array) => void;
}

/** A whole sheet as room for cuts, mm. */
export const rectangularRoom = ({ widthMm, heightMm }: BoxMm): Room => ({
  widthMm,
  heightMm,
  beyond(x, y, radiusMm, out) {
    const [right, bottom] = [widthMm - radiusMm, heightMm - radiusMm];
    out[0] = x < radiusMm ? x - radiusMm : x > right ? x - right : 0;
    out[1] = y < radiusMm ? y - radiusMm : y > bottom ? y - bottom : 0;
  },
});

/**
 * What lies within half planes, in a box around it. A round beyond several is told by the one that it is furthest beyond.
 */
export function convexRoom({ widthMm, heightMm }: BoxMm, planes: readonly HalfPlane[]): Room {
  // An oval has 180, each looked at for every round near its edge.
  const flat = Float64Array.from(planes.flatMap(({ nx, ny, reachMm }) => [nx, ny, reachMm]));
  const [middleX, middleY] = [widthMm / 2, heightMm / 2];
  // So far from the middle nothing is beyond any of them: most rounds need no look at each.
  const freeMm = planes.reduce(
    (least, { nx, ny, reachMm }) => Math.min(least, reachMm - nx * middleX - ny * middleY),
    Infinity,
  );
  return {
    widthMm,
    heightMm,
    beyond(x, y, radiusMm, out) {
      out[0] = 0;
      out[1] = 0;
      const clearMm = freeMm - radiusMm;
      if (clearMm > 0 && (x - middleX) ** 2 + (y - middleY) ** 2 <= clearMm ** 2) return;
      let furthestMm = 0;
      for (let i = 0; i < flat.length; i += 3) {
        const overMm = flat[i]! * x + flat[i + 1]! * y + radiusMm - flat[i + 2]!;
        if (overMm <= furthestMm) continue;
        furthestMm = overMm;
        out[0] = flat[i]! * overMm;
        out[1] = flat[i + 1]! * overMm;
      }
    },
  };
}
