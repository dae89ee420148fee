export { planCuts, type CutAnswers } from "./planCuts";
export { noCuts } from "./realizePlan";
export type { CutAim, CutFault, CutPlan, CutRequest, CutSheet, Reroll } from "./cutPlan";
export { craftHandTimes, type CuttingHandTimes } from "./handTimes";
export { boundCount, layOutRows, type Layout, type LayoutFault, type LayoutRequest } from "./layout";
export type { Placement, Row, RowPattern, RowStyle } from "./rowPattern";
export {
  computeYield,
  findThicknessFor,
  planYield,
  RAGGED_SPREAD_MM,
  THICKNESS_SPREAD_MM,
  type ThicknessSpan,
  type Yield,
  type YieldRequest,
} from "./computeYield";
export { searchTightDiscs, type TightProgress, type TightRequest } from "./tightDiscs";
export { tabulateYield, type YieldRow, type YieldTable, type YieldTableRequest } from "./tabulateYield";
export { layOutWheelCuts, type WheelLayout, type WheelRequest } from "./wheelCuts";
