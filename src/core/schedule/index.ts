export { constructSchedule } from "./constructSchedule";
export { findGap, improveSchedule, type ImproveOptions, type Improvement } from "./improveSchedule";
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
