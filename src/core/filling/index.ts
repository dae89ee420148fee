export { parsePortion } from "./parsePortion";
export { computePortion, findScoop, findSpoons, type Portion, type Scoop } from "./portion";
export {
  dividePortion,
  type DividedPortion,
  type PartRole,
  type PieceExtra,
  type PortionPart,
} from "./dividePortion";
export { advisePlumpness, type PlumpnessAdvice, type PlumpnessFacts } from "./advisePlumpness";
export {
  bodies,
  computeThickening,
  thickeners,
  toThickened,
  type Body,
  type Thickener,
  type Thickening,
  type ThickeningRequest,
} from "./thickening";
export { computeBuyKg, computeJuiceShare, computeSugarPerKgG, findSugarLeadMin } from "./fruit";
export type { PortionFailure, PortionTextFailure } from "./fillingFailure";
