import type { SheetShape } from "../../shape";
import { type Ring, type RowPattern, FIT_TOLERANCE_MM } from "../sheet";

/** Rounds of one size on a sheet. */
export interface RoundRequest {
  readonly diameterMm: number;
  readonly sheet: SheetShape;
  readonly webMm: number;
  readonly marginMm: number;
}

/** In the outermost ring so many fewer than go in are tried too: a looser one may let more into the next. */
const FEWER_TRIED = 3;

/**
 * Rounds on a round sheet in rings about its middle, each as wide as the one outside it lets it be. Two rings may reach
 * into each other: turned against each other as well as they go, the nearest two stand π / lcm(n, m) apart.
 * @returns Rings measured inside the margin, the outermost first; count 0 if not one fits or the sheet is not round.
 */
export function findBestRings({ diameterMm, sheet, webMm, marginMm }: RoundRequest): RowPattern {
  const spacingMm = diameterMm + webMm;
  const outermostMm = sheet.widthMm / 2 - marginMm - diameterMm / 2;
  const isRound = sheet.shape === "oval" && Math.abs(sheet.widthMm - sheet.heightMm) <= FIT_TOLERANCE_MM;
  const middleMm = sheet.widthMm / 2 - marginMm;
  let best: readonly Ring[] = [];
  const countOf = (rings: readonly Ring[]) => rings.reduce((sum, { count }) => sum + count, 0);
  const grow = (rings: readonly Ring[]): void => {
    if (countOf(rings) > countOf(best)) best = rings;
    const outside = rings.at(-1);
    const mostMm = outside ? outside.radiusMm : outermostMm;
    const most = countAround(mostMm, spacingMm);
    const least = outside ? 1 : Math.max(most - FEWER_TRIED, 1);
    for (let count = most; count >= least; count--) {
      const radiusMm = outside ? findInsideMm(outside, count, spacingMm) : outermostMm;
      // Those two rings out are at most turned as ill as can be.
      const isClear = rings.slice(0, -1).every((ring) => ring.radiusMm - (radiusMm ?? 0) >= spacingMm);
      if (radiusMm === null || !isClear) continue;
      // One by itself lies in the middle.
      const own: Ring = {
        middleMm,
        radiusMm: count === 1 ? 0 : radiusMm,
        count,
        startDeg: outside ? outside.startDeg + turnDeg(outside.count, count) : 0,
      };
      grow([...rings, own]);
    }
  };
  if (isRound && outermostMm >= -FIT_TOLERANCE_MM) grow([]);
  return { style: "rings", rowsRunDown: false, rows: [], rings: best, count: countOf(best) };
}

/** So many go round at a radius, each touching the next at most. */
function countAround(radiusMm: number, spacingMm: number): number {
  if (2 * radiusMm < spacingMm - FIT_TOLERANCE_MM) return 1;
  const half = Math.asin(Math.min(spacingMm / (2 * radiusMm), 1));
  return Math.max(Math.floor(Math.PI / half + FIT_TOLERANCE_MM), 1);
}

/** The widest ring of so many inside another; null if there is none. */
function findInsideMm(outside: Ring, count: number, spacingMm: number): number | null {
  if (outside.radiusMm < FIT_TOLERANCE_MM) return null;
  if (count === 1) return outside.radiusMm >= spacingMm - FIT_TOLERANCE_MM ? 0 : null;
  const apart = Math.PI / leastCommonMultiple(outside.count, count);
  const aside = outside.radiusMm * Math.sin(apart);
  // Nearest is the one outside it turned by that: the farther of the two radii at that distance is beyond it.
  const reachMm = spacingMm > aside ? Math.sqrt(spacingMm ** 2 - aside ** 2) : 0;
  const radiusMm = outside.radiusMm * Math.cos(apart) - reachMm;
  const leastMm = spacingMm / (2 * Math.sin(Math.PI / count));
  return radiusMm >= leastMm - FIT_TOLERANCE_MM ? radiusMm : null;
}

/** How far a ring is turned so that none stands as near to one of the ring outside it as it might. */
const turnDeg = (outside: number, inside: number): number => 180 / leastCommonMultiple(outside, inside);

function leastCommonMultiple(a: number, b: number): number {
  let [x, y] = [a, b];
  while (y > 0) [x, y] = [y, x % y];
  return (a / x) * b;
}
