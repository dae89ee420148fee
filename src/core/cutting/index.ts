export { planCuts, type CutAnswers } from "./plan";
export { checkCutPlan, checkSheet, type CheckedPart, type CuttingFinding } from "./checkCutting";
export { noCuts } from "./plan";
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
} from "./plan";
export { cutAims } from "./plan";
export { rollsRound } from "./plan";
export { layOutTogether, type SharedOutline, type SharedPart, type SharedSheet } from "./rows";
export { craftHandTimes, type CuttingHandTimes } from "./sheet";
export { boundSets } from "./sheet";
export { countNeeds, countSets } from "./sheet";
export { layOutRows, type Layout, type LayoutRequest } from "./rows";
export type { Placement, Ring, Row, RowPattern, RowStyle } from "./sheet";
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
} from "./yield";
export { searchTightDiscs, type TightRequest } from "./tight";
export type { TightProgress } from "./tight";
export { tabulateYield, type YieldRow, type YieldTable, type YieldTableRequest } from "./yield";
export { layOutWheelCuts, type WheelLayout, type WheelRequest } from "./wheel";
export { searchTightOutlines, type TightOutlineRequest } from "./tight";
export { fillGaps, type GapRequest } from "./tight";
export {
  layOutParts,
  layoutModes,
  searchTight,
  toLaidParts,
  type LaidParts,
  type LayoutMode,
  type PartsRequest,
} from "./layOutParts";
export type { CutFailure, PartsFailure } from "./sheet";
