export { planCuts, type CutAnswers } from "./planCuts";
export { checkCutPlan, checkSheet, type CheckedPart, type CuttingFinding } from "./checkCutting";
export { noCuts } from "./realizePlan";
export type {
  BlankDemand,
  BoughtSheetSize,
  CutAim,
  CutPart,
  CutPlan,
  CutRequest,
  CutSheet,
  DemandYield,
  Portioning,
  Reroll,
  RollingRequest,
} from "./cutPlan";
export { cutAims } from "./cutPlan";
export { rollsRound } from "./portionBlanks";
export { layOutTogether, type SharedOutline, type SharedPart, type SharedSheet } from "./layOutTogether";
export { craftHandTimes, type CuttingHandTimes } from "./handTimes";
export { boundSets } from "./bound";
export { countNeeds, countSets } from "./sets";
export { layOutRows, type Layout, type LayoutRequest } from "./layout";
export type { Placement, Ring, Row, RowPattern, RowStyle } from "./rowPattern";
export {
  computeDoughAreaMm2,
  computeYield,
  findThicknessFor,
  planYield,
  RAGGED_SPREAD_MM,
  THICKNESS_SPREAD_MM,
  type ThicknessSpan,
  type Yield,
  type YieldRequest,
} from "./computeYield";
export { searchTightDiscs, type TightRequest } from "./tightDiscs";
export type { TightProgress } from "./tightSearch";
export { tabulateYield, type YieldRow, type YieldTable, type YieldTableRequest } from "./tabulateYield";
export { layOutWheelCuts, type WheelLayout, type WheelRequest } from "./wheelCuts";
export { searchTightOutlines, type TightOutlineRequest } from "./tightOutlines";
export { fillGaps, type GapRequest } from "./fillGaps";
export {
  layOutParts,
  layoutModes,
  searchTight,
  toLaidParts,
  type LaidParts,
  type LayoutMode,
  type PartsRequest,
} from "./layOutParts";
export type { CutFailure, PartsFailure } from "./cutFailure";
