export {
  RAGGED_SPREAD_MM,
  THICKNESS_SPREAD_MM,
  computeDoughAreaMm2,
  computeYield,
  findThicknessFor,
  planYield,
  type ThicknessSpan,
  type Yield,
  type YieldRequest,
} from "./computeYield";
export { tabulateYield, type YieldRow, type YieldTable, type YieldTableRequest } from "./tabulateYield";
