export { assignPeople } from "./assignPeople";
export { HANDS, type DraftTask } from "./draftTask";
export { isVesselId } from "./kitHolds";
export { paceTasks, toJobFactor, toJobHabit } from "./paceTasks";
export { pinTasks } from "./pinTasks";
export { listTasks } from "./planTasks";
export { SHARED_HEAT_C, toScheduleProblem } from "./scheduleProblem";
