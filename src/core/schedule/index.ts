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
  type PlacedTask,
  type Schedule,
  type ScheduleCost,
  type ScheduleProblem,
  type ScheduleResource,
  type ScheduleTask,
  type TaskHeat,
  type TaskMode,
  type TaskUse,
  type TaskWait,
} from "./problem";
export { explainStart, type StartHold, type StartReason } from "./explainStart";
