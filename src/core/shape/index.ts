export {
  computeAreaMm2,
  computeBox,
  computePerimeterMm,
  describeOutline,
  outerOutline,
  scaleOutline,
} from "./measureOutline";
export type { Outline, OutlineKind } from "./outline";
export type { BoxMm } from "./box";
export { toContour } from "./contour";
export {
  boundsOfPolygon,
  distanceToBodyMm,
  distanceToSegmentMm,
  gapMm,
  isInside,
  listEdges,
  placePolygon,
  type Point,
  type Polygon,
} from "./polygon";
export { doOverlap, findSharedMm } from "./overlap";
export { MAX_PATH_CHARACTERS, parsePath } from "./parsePath";
export type { PathFailure } from "./pathFailure";
export {
  computeSheetAreaMm2,
  roundSheetFor,
  describeSheet,
  drawIn,
  reachOfPolygon,
  toHalfPlanes,
  type HalfPlane,
  type SheetShape,
} from "./sheet";
