export { scheduleDay } from "./scheduleDay";
export {
  computeChangeoverMin,
  type BrokenWait,
  type HeaterStart,
  type LateTask,
  type PlacedTask,
  type Schedule,
  type ScheduleProblem,
  type ScheduleResource,
  type ScheduleTask,
  type TaskHeat,
  type TaskUse,
  type TaskWait,
} from "./problem";
