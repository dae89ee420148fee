import { keepPlaces } from "./keepPlaces";
import { compareCosts, type Schedule, type ScheduleProblem } from "./problem";

/**
 * The whole day moved later, as far as no promise comes late by it: nobody gets up sooner than they must. Where pins or
 * people's hours forbid it, the day stays.
 */
export function pushLater(problem: ScheduleProblem, schedule: Schedule): Schedule {
  const endOf = new Map(schedule.placed.map(({ taskId, endMin }) => [taskId, endMin]));
  const slacks = problem.tasks.flatMap(({ id, dueMin }) =>
    dueMin === null ? [] : [dueMin - (endOf.get(id) ?? dueMin)],
  );
  const byMin = slacks.length > 0 ? Math.min(...slacks) : 0;
  if (byMin <= 0 || problem.tasks.some(({ pinnedMin }) => pinnedMin !== null)) return schedule;
  const moved = keepPlaces(
    problem,
    schedule.placed.map(({ taskId, startMin, mode }) => ({ taskId, startMin: startMin + byMin, mode })),
  );
  return moved && compareCosts(moved.cost, schedule.cost) <= 0 ? moved : schedule;
}
