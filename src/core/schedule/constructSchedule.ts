import { describeSchedule } from "./describeSchedule";
import { laySchedule } from "./laySchedule";
import type { Schedule, ScheduleProblem, ScheduleTask } from "./problem";

/**
 * A schedule in milliseconds, good and not proven best: of the tasks that could come next, the one that can start
 * earliest in the mirror of the day goes first, and of equals the one with the longest chain of work and waits behind it.
 * It keeps every resource, every wait and every change of temperature; what is late is said.
 */
export function constructSchedule(problem: ScheduleProblem): Schedule {
  if (problem.tasks.length === 0) return describeSchedule(problem, new Map());
  const leadMin = computeLeadMin(problem);
  return laySchedule(problem, {
    rankOf: (task, earliestMin) => [earliestMin, -(leadMin.get(task.id) ?? 0)],
    forwardRankOf: null,
    modeOf: () => null,
  });
}

/** Minutes that must pass before each task can end: the longest chain of work and waits that leads to it. */
function computeLeadMin(problem: ScheduleProblem): Map<string, number> {
  const byId = new Map(problem.tasks.map((task) => [task.id, task]));
  const leads = new Map<string, number>();
  const lead = (task: ScheduleTask): number => {
    const known = leads.get(task.id);
    if (known !== undefined) return known;
    const before = task.after.map(({ taskId, minWaitMin }) => {
      const other = byId.get(taskId);
      return other ? lead(other) + minWaitMin : 0;
    });
    const minutes = Math.min(...task.modes.map(({ durationMin }) => durationMin)) + Math.max(0, ...before);
    leads.set(task.id, minutes);
    return minutes;
  };
  problem.tasks.forEach(lead);
  return leads;
}
