import { boundsOfPolygon, type Polygon } from "../../shape";
import type { Placement } from "../sheet";

/** What lies on a sheet, with the box round it. */
export interface Body extends ReturnType<typeof boundsOfPolygon> {
  /** x and y of each corner, one after the other. */
  readonly corners: Float64Array;
}

export const toBody = (polygon: Polygon): Body => ({
  corners: Float64Array.from(polygon.flat()),
  ...boundsOfPolygon(polygon),
});

export const toPolygon = ({ corners }: Body): Polygon =>
  Array.from({ length: corners.length / 2 }, (_, i) => [corners[2 * i]!, corners[2 * i + 1]!] as const);

/**
 * A contour at each of its places. The corners of all lie in one store: a small cutter leaves tens of thousands of cuts
 * of some forty corners, and as points of their own these are hundreds of megabytes, through which the collector goes
 * for a tenth of a second.
 */
export function placeBodies(contour: Polygon, placements: readonly Placement[]): Body[] {
  const numbers = 2 * contour.length;
  const store = new Float64Array(numbers * placements.length);
  return placements.map(({ xMm, yMm, angleDeg }, i) => {
    const [cos, sin] = [Math.cos((angleDeg * Math.PI) / 180), Math.sin((angleDeg * Math.PI) / 180)];
    let [leftMm, topMm, rightMm, bottomMm] = [Infinity, Infinity, -Infinity, -Infinity];
    let at = i * numbers;
    for (const [cornerX, cornerY] of contour) {
      const x = xMm + cornerX * cos - cornerY * sin;
      const y = yMm + cornerX * sin + cornerY * cos;
      store[at++] = x;
      store[at++] = y;
      leftMm = Math.min(leftMm, x);
      rightMm = Math.max(rightMm, x);
      topMm = Math.min(topMm, y);
      bottomMm = Math.max(bottomMm, y);
    }
    return { corners: store.subarray(i * numbers, at), leftMm, topMm, rightMm, bottomMm };
  });
}
