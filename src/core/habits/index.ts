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
  findLeakHabit,
  findPaceHabit,
  forecastLeaks,
  sumLeaks,
  sumPaces,
  type LeakForecast,
  type LeakHabit,
  type LeakSums,
  type LotOutcome,
  type PaceHabit,
  type PaceSums,
  type TimedWork,
} from "./lotHabit";
export {
  gatherLeaks,
  gatherPaces,
  gatherYields,
  NO_PAST,
  takeOutOfLog,
  toPaceKey,
  type PastLog,
  type TimedKind,
} from "./pastLog";
