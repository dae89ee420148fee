import type { HalfPlane } from "../../shape";
import { FIT_TOLERANCE_MM } from "./tolerance";

/** A plane whose normal leans less along the rows lies along them itself: it bounds no line, but may shut it out. */
const LEAST_LEAN = 1e-12;

/** The stretch of a line across the sheet on which a middle may lie; empty if `from` > `to`. */
export function findSpan(room: readonly HalfPlane[], yMm: number): { from: number; to: number } {
  let [from, to] = [-Infinity, Infinity];
  for (const { nx, ny, reachMm } of room) {
    const rest = reachMm - ny * yMm;
    if (Math.abs(nx) < LEAST_LEAN) {
      if (rest < -FIT_TOLERANCE_MM) return { from: Infinity, to: -Infinity };
    } else if (nx > 0) to = Math.min(to, rest / nx);
    else from = Math.max(from, rest / nx);
  }
  return { from, to };
}

/** Strips into which a sheet is parted, each with the few planes that bound a line in it. */
const STRIPS = 48;

/**
 * {@link findSpan} of one room for many lines, the same to the last digit: an oval has 180 half planes, of which three or
 * four can bound a line in any strip of the sheet.
 * @param heightMm - Of the sheet; lines beyond it are asked of all planes.
 */
export function createSpans(
  room: readonly HalfPlane[],
  heightMm: number,
): (yMm: number) => { from: number; to: number } {
  const strips: (readonly HalfPlane[] | undefined)[] = [];
  const stripMm = heightMm / STRIPS;
  return (yMm) => {
    const strip = Math.floor(yMm / stripMm);
    if (!(strip >= 0 && strip < STRIPS)) return findSpan(room, yMm);
    strips[strip] ??= listBinding(room, strip * stripMm, (strip + 1) * stripMm);
    return findSpan(strips[strip], yMm);
  };
}

/**
 * The planes that may bound a line between two others; none that may is left out. What bounds is straight: a plane that
 * at both ends leaves more room than another does at either bounds nothing between.
 */
function listBinding(room: readonly HalfPlane[], topMm: number, bottomMm: number): HalfPlane[] {
  let [leastRight, mostLeft] = [Infinity, -Infinity];
  for (const { nx, ny, reachMm } of room) {
    const top = (reachMm - ny * topMm) / nx;
    const bottom = (reachMm - ny * bottomMm) / nx;
    if (nx >= LEAST_LEAN) leastRight = Math.min(leastRight, Math.max(top, bottom));
    else if (nx <= -LEAST_LEAN) mostLeft = Math.max(mostLeft, Math.min(top, bottom));
  }
  return room.filter(({ nx, ny, reachMm }) => {
    const top = (reachMm - ny * topMm) / nx;
    const bottom = (reachMm - ny * bottomMm) / nx;
    if (nx >= LEAST_LEAN) return Math.min(top, bottom) <= leastRight + FIT_TOLERANCE_MM;
    return nx > -LEAST_LEAN || Math.max(top, bottom) >= mostLeft - FIT_TOLERANCE_MM;
  });
}
