import { boundsOfPolygon, placePolygon, type Polygon } from "../../shape";

/** Bands a profile is sampled in: less than a millimetre each at 100 mm, and every one errs to the safe side. */
const BANDS = 160;
/** Bands that lie over each other by less than this part lie beside each other: rounding. */
const SAME_BAND = 1e-9;

/**
 * How far an outline, grown by half a web, reaches in each band across it: for every column the highest and lowest
 * point, for every line the leftmost and rightmost. Two cuts whose profiles do not meet are a web apart. Bands are
 * taken at their farthest, so what they allow never overlaps.
 */
export interface Profile {
  readonly angleDeg: number;
  /** Of the outline itself, from its middle. */
  readonly leftMm: number;
  readonly rightMm: number;
  readonly topMm: number;
  readonly bottomMm: number;
  readonly columns: Bands;
  readonly lines: Bands;
}

interface Bands {
  readonly fromMm: number;
  readonly stepMm: number;
  readonly low: Float64Array;
  readonly high: Float64Array;
}

/** The profile of a contour turned by `angleDeg`, with `webMm` to be kept from its like. */
export function computeProfile(contour: Polygon, angleDeg: number, webMm: number): Profile {
  const turned = placePolygon(contour, 0, 0, angleDeg);
  const lying = turned.map(([x, y]) => [y, x] as const);
  return {
    angleDeg,
    ...boundsOfPolygon(turned),
    columns: sampleBands(turned, webMm / 2),
    lines: sampleBands(lying, webMm / 2),
  };
}

/**
 * The lowest and highest second coordinate, in each band of the first, of all points within `radiusMm` of a polygon:
 * of its edges moved out square to themselves, and of a disc round each corner.
 */
function sampleBands(polygon: Polygon, radiusMm: number): Bands {
  const { leftMm, rightMm } = boundsOfPolygon(polygon);
  const fromMm = leftMm - radiusMm;
  const stepMm = (rightMm - leftMm + 2 * radiusMm) / BANDS;
  const low = new Float64Array(BANDS).fill(Infinity);
  const high = new Float64Array(BANDS).fill(-Infinity);
  const bandOf = (x: number) => Math.min(Math.max(Math.floor((x - fromMm) / stepMm), 0), BANDS - 1);
  const mark = (band: number, y: number) => {
    if (y < low[band]!) low[band] = y;
    if (y > high[band]!) high[band] = y;
  };
  const markEdge = (x1: number, y1: number, x2: number, y2: number) => {
    const left = Math.min(x1, x2);
    const right = Math.max(x1, x2);
    const slope = x2 === x1 ? 0 : (y2 - y1) / (x2 - x1);
    const lastBand = bandOf(right);
    for (let band = bandOf(left); band <= lastBand; band++) {
      if (x2 === x1) {
        mark(band, y1);
        mark(band, y2);
        continue;
      }
      // The edge's part inside the band lies between its values at the band's sides.
      const sideMm = fromMm + band * stepMm;
      mark(band, y1 + (Math.min(Math.max(sideMm, left), right) - x1) * slope);
      mark(band, y1 + (Math.min(Math.max(fromMm + (band + 1) * stepMm, left), right) - x1) * slope);
    }
  };
  const markDisc = (x: number, y: number) => {
    const lastBand = bandOf(x + radiusMm);
    for (let band = bandOf(x - radiusMm); band <= lastBand; band++) {
      const asideMm = Math.max(fromMm + band * stepMm - x, x - fromMm - (band + 1) * stepMm, 0);
      const reachMm = Math.sqrt(Math.max(radiusMm * radiusMm - asideMm * asideMm, 0));
      mark(band, y - reachMm);
      mark(band, y + reachMm);
    }
  };
  polygon.forEach(([x1, y1], i) => {
    const [x2, y2] = polygon[(i + 1) % polygon.length]!;
    // Nothing to be kept between: the edges themselves, and their ends are the corners.
    if (radiusMm === 0) return markEdge(x1, y1, x2, y2);
    const length = Math.hypot(x2 - x1, y2 - y1);
    const out = length === 0 ? 0 : radiusMm / length;
    const nx = (y2 - y1) * out;
    const ny = (x1 - x2) * out;
    markEdge(x1 + nx, y1 + ny, x2 + nx, y2 + ny);
    markEdge(x1 - nx, y1 - ny, x2 - nx, y2 - ny);
    markDisc(x1, y1);
  });
  return { fromMm, stepMm, low, high };
}

/**
 * The least second coordinate at which `next` clears `first`, when its first coordinate lies `shiftMm` further on;
 * −∞ if they pass each other whatever it is. O(bands).
 */
function clear(first: Bands, next: Bands, shiftMm: number, every = 1): number {
  let least = -Infinity;
  const count = first.high.length;
  const offset = (first.fromMm - shiftMm - next.fromMm) / next.stepMm;
  const perBand = first.stepMm / next.stepMm;
  // Only bands that lie over each other: from < next.length and to > 0.
  const begin = Math.max(Math.floor(-offset / perBand) - 1, 0);
  const end = Math.min(Math.ceil((next.low.length - offset) / perBand) + 1, count);
  for (let i = begin; i < end; i += every) {
    const from = offset + i * perBand;
    const to = from + perBand;
    if (to <= 0 || from >= next.low.length) continue;
    // A band of the first may lie over two of the next (or three, where steps differ a little).
    const lastBand = Math.min(Math.ceil(to - SAME_BAND), next.low.length) - 1;
    const reach = first.high[i]!;
    for (let j = Math.max(Math.floor(from + SAME_BAND), 0); j <= lastBand; j++) {
      const needed = reach - next.low[j]!;
      if (needed > least) least = needed;
    }
  }
  return least;
}

/**
 * How far below `upper` the middle of `lower` must lie, its own `shiftMm` to the right, mm.
 * @param every - Of `every` bands one is looked at: at least so far, in so much less time.
 */
export function clearBelowMm(upper: Profile, lower: Profile, shiftMm: number, every = 1): number {
  return clear(upper.columns, lower.columns, shiftMm, every);
}

/** How far to the right of `left` the middle of `right` must lie in the same row, mm. */
export function clearBesideMm(left: Profile, right: Profile): number {
  return clear(left.lines, right.lines, 0);
}
