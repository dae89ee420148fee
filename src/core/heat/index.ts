export { chill, type ChillRequest, type Stay } from "./chill";
export type { Moment } from "./conduct";
export type { Body } from "./grid";
export type { Composition } from "./material";
export type { Place } from "./places";
export {
  computeReadiness,
  findShortCut,
  findRestMin,
  type ColdPlace,
  type ColdRest,
  type Readiness,
  type ReadinessRequest,
  type WorkingWindow,
} from "./readiness";
export { fitSurface, scaleBake, type BakeAir, type Baked, type BakeScale, type KnownBake } from "./bakeScale";
export { convertBake, ovenKindFacts, ovenKinds, type OvenKind } from "./ovenKind";
export { findHeater } from "./heater";
export { findFilm, readFilmCore, tabulateCooling, tabulateFilm, type FilmTable } from "./film";
export { chillPiece, type PieceChill, type PieceChillRequest } from "./chillPiece";
export { COMES_OUT_C, coolPiece, type Cooling, type CoolingRequest } from "./cooling";
export {
  computeOilRates,
  findBath,
  findLargestLoad,
  findUsualLossWPerK,
  fryLoad,
  LEAST_FRYING_C,
  timeBath,
  TWO_TIMES_C,
  USUAL_OIL_J_PER_KG_K,
  type FryLoad,
  type Frying,
  type OilBath,
  type OilMoment,
} from "./oil";
export type { BakeFailure, OilFailure } from "./heatFailure";
