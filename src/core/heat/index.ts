export { chill, findCrossingMin, type ChillRequest, type Stay } from "./chill";
export type { Moment } from "./conduct";
export type { Body } from "./grid";
export type { Composition } from "./material";
export type { Place } from "./places";
export {
  computeReadiness,
  findRestMin,
  type ColdRest,
  type Readiness,
  type ReadinessRequest,
  type WorkingWindow,
} from "./readiness";
