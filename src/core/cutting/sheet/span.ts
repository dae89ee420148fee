import type { HalfPlane } from "../../shape";
import { FIT_TOLERANCE_MM } from "./tolerance";

/** A plane whose normal leans less along the rows lies along them itself: it bounds no line, but may shut it out. */
const LEAST_LEAN = 1e-12;

/** The stretch of a line across the sheet on which a middle may lie; empty if `from` > `to`. */
export function findSpan(room: readonly HalfPlane[], yMm: number): { from: number; to: number } {
  let from = -Infinity;
  let to = Infinity;
  for (let i = 0; i < room.length; i++) {
    const { nx, ny, reachMm } = room[i]!;
    const rest = reachMm - ny * yMm;
    if (Math.abs(nx) < LEAST_LEAN) {
      if (rest < -FIT_TOLERANCE_MM) return { from: Infinity, to: -Infinity };
    } else if (nx > 0) to = Math.min(to, rest / nx);
    else from = Math.max(from, rest / nx);
  }
  return { from, to };
}

/**
 * Strips into which a sheet is parted, each with the few planes that bound a line in it: every strip asks all planes once,
 * and of more than so many that costs a first layout more than its lines save.
 */
const STRIPS = 16;

/**
 * {@link findSpan} of one room for many lines, the same to the last digit: an oval has 180 half planes, of which a dozen
 * or so can bound a line in any strip of the sheet.
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
  // How much room each plane leaves in the strip at least and at most, and what some plane surely bounds on either side.
  const least = new Float64Array(room.length);
  const most = new Float64Array(room.length);
  let [leastRight, mostLeft] = [Infinity, -Infinity];
  for (let i = 0; i < room.length; i++) {
    const { nx, ny, reachMm } = room[i]!;
    const top = (reachMm - ny * topMm) / nx;
    const bottom = (reachMm - ny * bottomMm) / nx;
    const less = top < bottom ? top : bottom;
    const more = top < bottom ? bottom : top;
    least[i] = less;
    most[i] = more;
    if (nx >= LEAST_LEAN && more < leastRight) leastRight = more;
    else if (nx <= -LEAST_LEAN && less > mostLeft) mostLeft = less;
  }
  return room.filter(({ nx }, i) => {
    if (nx >= LEAST_LEAN) return least[i]! <= leastRight + FIT_TOLERANCE_MM;
    return nx > -LEAST_LEAN || most[i]! >= mostLeft - FIT_TOLERANCE_MM;
  });
}
