export {
  findYieldHabit,
  forecastCount,
  toYieldLog,
  type CountForecast,
  type CutOutcome,
  type YieldHabit,
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
  tellWork,
  toPaceKey,
  toPaceLog,
  type LotOutcome,
  type PaceHabit,
  type TimedKind,
  type TimedWork,
} from "./paceHabit";
export { gatherHolds, knowByCraft, knowHabit, NO_PAST, takeOutLeaks, type PastLog } from "./pastLog";
export {
  type FigureScale,
  learnDay,
  learnDays,
  learnLog,
  LOTS_LOOKED_AT,
  spreadOfNext,
  tellFigure,
  type FigureHabit,
  type FigurePrior,
  type KnownFigure,
} from "./figureHabit";
export { noHabit, sayHabitFailure, type HabitFailure } from "./habitFailure";
export { toStrayLog } from "./strayLog";
export { countHeld, findWidening, type KeptForecast } from "./widening";
export {
  findImplausible,
  habitKinds,
  readHabitId,
  toHabitId,
  toShareLog,
  toTold,
  type HabitId,
  type HabitKindId,
} from "./habitKinds";
