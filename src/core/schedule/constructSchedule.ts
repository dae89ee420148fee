import { describeSchedule } from "./describeSchedule";
import { laySchedule } from "./laySchedule";
import type { Schedule, ScheduleProblem } from "./problem";

/**
 * A schedule in milliseconds, good and not proven best: of the tasks that could come next, the one that can start
 * earliest in the mirror of the day goes first, and of equals the one with the longest chain of work and waits behind it.
 * It keeps every resource, every wait and every change of temperature; what is late is said.
 */
export const constructSchedule = (problem: ScheduleProblem): Schedule =>
  describeSchedule(problem, laySchedule(problem).placing);
