import {
  boundsOfPolygon,
  distanceToBodyMm,
  distanceToSegmentMm,
  doOverlap,
  drawIn,
  gapMm,
  isInside,
  listEdges,
  placePolygon,
  reachOfPolygon,
  toContour,
  toHalfPlanes,
  type Outline,
  type Polygon,
  type SheetShape,
} from "../../shape";
import { type Placement, FIT_TOLERANCE_MM } from "../sheet";
import { toBody, toPolygon, type Body } from "./body";
import { BodyGrid } from "./bodyGrid";

export interface GapRequest<P = Polygon> {
  /** What lies on the sheet already, placed. */
  readonly placed: readonly P[];
  readonly sheet: SheetShape;
  readonly marginMm: number;
  /** What is to go between. */
  readonly outline: Outline;
  /** Least dough from cut to cut. */
  readonly webMm: number;
  /** Turns in which it may lie, degrees. */
  readonly anglesDeg: readonly number[];
  readonly most: number;
}

/** Places are tried on a grid of this part of the outline's smaller side, but not finer than a knife sees. */
const GRID_SHARE = 0.1;
const FINEST_MM = 1;

/**
 * Small cuts in the gaps of large ones and along the edges, as many as a walk over the sheet from the top left finds
 * room for; each against the next as the grid allows.
 * @returns Places in the order they were found. O(grid places · cuts near each).
 */
export function fillGaps(request: GapRequest): Placement[] {
  const walk = walkGaps({ ...request, placed: request.placed.map(toBody) });
  for (;;) {
    const { value, done } = walk.next();
    if (done) return value;
  }
}

/** Places looked at between two turns of a walk: some milliseconds. */
const PLACES_PER_TURN = 60;
/** Cuts that are taken note of between two turns before it begins. */
const BODIES_PER_TURN = 250;

/** The same walk by turns, so that a clock can be kept. */
export function* walkGaps({
  placed,
  sheet,
  marginMm,
  outline,
  webMm,
  anglesDeg,
  most,
}: GapRequest<Body>): Generator<undefined, Placement[]> {
  const planes = toHalfPlanes(sheet);
  const turns = anglesDeg.map((angleDeg) => {
    const contour = placePolygon(toContour(outline), 0, 0, angleDeg);
    const room = drawIn(planes, marginMm, reachOfPolygon(contour));
    return { angleDeg, contour, room, bounds: boundsOfPolygon(contour) };
  });
  // A circle that the outline holds, and one that holds it: they settle nearly every place at once.
  const upright = turns[0]?.contour ?? [];
  const widestMm = Math.max(...upright.map(([x, y]) => Math.hypot(x, y)));
  const innerMm = isInside([0, 0], upright)
    ? Math.min(...listEdges(upright).map(([a, b]) => distanceToSegmentMm([0, 0], a, b)))
    : 0;
  const taken = new BodyGrid(sheet, widestMm + webMm);
  for (const [i, body] of placed.entries()) {
    taken.add(body);
    if ((i + 1) % BODIES_PER_TURN === 0) yield;
  }
  const smallest = Math.min(
    ...turns.flatMap(({ bounds }) => [bounds.rightMm - bounds.leftMm, bounds.bottomMm - bounds.topMm]),
  );
  const stepMm = Math.max(smallest * GRID_SHARE, FINEST_MM);
  const found: Placement[] = [];
  let places = 0;
  for (let yMm = marginMm; yMm <= sheet.heightMm - marginMm; yMm += stepMm) {
    for (let xMm = marginMm; xMm <= sheet.widthMm - marginMm; xMm += stepMm) {
      if (found.length >= most) return found;
      if (++places % PLACES_PER_TURN === 0) yield;
      for (const { angleDeg, contour, room, bounds } of turns) {
        if (room.some(({ nx, ny, reachMm }) => nx * xMm + ny * yMm > reachMm + FIT_TOLERANCE_MM)) continue;
        const near: Body[] = [];
        const reach = {
          leftMm: xMm + bounds.leftMm - webMm,
          rightMm: xMm + bounds.rightMm + webMm,
          topMm: yMm + bounds.topMm - webMm,
          bottomMm: yMm + bounds.bottomMm + webMm,
        };
        const isFree = taken.everyNear(reach, (body) => {
          const awayMm = distanceToBodyMm(body.corners, xMm, yMm);
          if (awayMm < widestMm + webMm) near.push(body);
          return awayMm >= innerMm + webMm - FIT_TOLERANCE_MM;
        });
        if (!isFree) continue;
        const here = contour.map(([x, y]) => [x + xMm, y + yMm] as const);
        if (near.some((body) => isTooNear(toPolygon(body), here, webMm))) continue;
        found.push({ xMm, yMm, angleDeg });
        taken.add(toBody(here));
        break;
      }
    }
  }
  return found;
}

/** Without a web cuts may touch and no more. */
const isTooNear = (one: Polygon, other: Polygon, webMm: number): boolean =>
  webMm > FIT_TOLERANCE_MM
    ? gapMm(one, other, webMm) < webMm - FIT_TOLERANCE_MM
    : doOverlap(one, other, FIT_TOLERANCE_MM);
