export {
  computeAreaMm2,
  computeBox,
  computePerimeterMm,
  describeOutline,
  outerOutline,
  scaleOutline,
  type BoxMm,
  type Outline,
  type OutlineKind,
} from "./outline";
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
export { MAX_PATH_CHARACTERS, parsePath, type PathFault } from "./parsePath";
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
