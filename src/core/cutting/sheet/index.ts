export type { Band } from "./band";
export { boundCount, boundSets } from "./bound";
export type { CutFailure, LayoutFailure, PartsFailure, SharedFailure } from "./cutFailure";
export { craftHandTimes, estimateHandMin, type CuttingHandTimes } from "./handTimes";
export { convexRoom, rectangularRoom, type Room } from "./room";
export {
  countRow,
  firstRows,
  placePattern,
  turnBox,
  turnPattern,
  walkPattern,
  type Corner,
  type Placement,
  type Ring,
  type Row,
  type RowPattern,
  type RowStyle,
} from "./rowPattern";
export { countNeeds, countSets, type Ratioed } from "./sets";
export { createSpans, findSpan } from "./span";
export { FIT_TOLERANCE_MM, countPitches } from "./tolerance";
