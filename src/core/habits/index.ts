export {
  findYieldHabit,
  forecastCount,
  sumYields,
  type CountForecast,
  type CutOutcome,
  type YieldHabit,
  type YieldSums,
} from "./yieldHabit";
export {
  addToHoldLog,
  findHoldHabit,
  forecastLeaks,
  type CraftHold,
  type HoldHabit,
  type HoldLog,
  type HoldSums,
  type LeakForecast,
  type LeakOutcome,
  type LeakSums,
} from "./holdHabit";
export {
  findPaceHabit,
  sumPaces,
  type LotOutcome,
  type PaceHabit,
  type PaceSums,
  type TimedWork,
} from "./lotHabit";
export {
  gatherHolds,
  gatherPaces,
  gatherYields,
  NO_PAST,
  takeOutOfLog,
  toPaceKey,
  type PastLog,
  type TimedKind,
} from "./pastLog";
export { findFigureHabit, type FigureHabit, type FigurePrior } from "./figureHabit";
