export {
  findYieldHabit,
  forecastCount,
  type CountForecast,
  type CutOutcome,
  type YieldHabit,
} from "./yieldHabit";
export {
  findLeakHabit,
  findPaceHabit,
  forecastLeaks,
  type LeakForecast,
  type LeakHabit,
  type LotOutcome,
  type PaceHabit,
  type TimedWork,
} from "./lotHabit";
