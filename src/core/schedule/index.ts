export { checkSchedule, type ScheduleFinding } from "./checkSchedule";
export { constructSchedule } from "./constructSchedule";
export {
  findGap,
  followSchedule,
  improveSchedule,
  searchSchedule,
  type ImproveOptions,
  type Improvement,
} from "./improveSchedule";
export { explainLateness, type LateReason } from "./explainLateness";
export type { LaidTask } from "./keepPlaces";
export { boundSchedule, type ScheduleBound } from "./lowerBound";
export {
  compareCosts,
  computeChangeoverMin,
  type Away,
  type BrokenWait,
  type Heater,
  type HeaterStart,
  type LateTask,
  type Overfull,
  type PlacedTask,
  type Schedule,
  type ScheduleCost,
  type ScheduleHold,
  type ScheduleProblem,
  type ScheduleResource,
  type ScheduleTask,
  type TaskEdge,
  type TaskHeat,
  type TaskMode,
  type TaskUse,
  type TaskWait,
} from "./problem";
export { forecastEnds, type DayForecast, type EndForecast, type TaskSpread } from "./forecastEnds";
export { shiftSchedule } from "./shiftSchedule";
export { explainStart, findCriticalChain, type StartHold, type StartReason } from "./explainStart";
export { stackTogether, type Stacked } from "./stackTogether";
