import { describeSchedule } from "./describeSchedule";
import { constructPlacing } from "./improveSchedule";
import type { Schedule, ScheduleProblem } from "./problem";

/**
 * A schedule in milliseconds, good and not proven best: of the tasks that could come next, the one that can start
 * earliest in the mirror of the day goes first, and of equals the one with the longest chain of work and waits behind it.
 * A day of a few tasks is the best of some orders tried. It keeps every resource, every wait and every change of temperature; what is late is said.
 */
export const constructSchedule = (problem: ScheduleProblem): Schedule =>
  describeSchedule(problem, constructPlacing(problem).placing);
