export {
  findYieldHabit,
  forecastCount,
  type CountForecast,
  type CutOutcome,
  type YieldHabit,
} from "./yieldHabit";
