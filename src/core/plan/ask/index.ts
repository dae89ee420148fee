export { answerAhead, type AheadAnswers, type AheadIf } from "./aheadIfs";
export { sayBatchFailure, type BatchFailure, type Follows } from "./batchFailure";
export { applyDayChange, type DayChange } from "./dayChange";
export { answerDay, type DayAnswers, type DayIf, type DayNow } from "./dayIfs";
export { sumDayLoad, type DayLoad } from "./dayLoad";
export {
  divideBatch,
  listFollows,
  type BatchDivision,
  type BatchRequest,
  type BatchShare,
  type DividedBatch,
  type LayerOver,
} from "./divideBatch";
export { listMends } from "./mends";
export type { PieceMend } from "./pieceMend";
export { listProblemMends, type ProblemMend } from "./problemMends";
export { listSchools, type School, type SchoolFacts, type SchoolOption } from "./schools";
export {
  applyChoice,
  compareVariants,
  weighChoices,
  type Choice,
  type DayFigures,
  type VariantFigures,
} from "./whatIf";
