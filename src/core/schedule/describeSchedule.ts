import { findHeaterStarts, findOverfull, judge, toPlacedTasks } from "./judge";
import type { Placing } from "./placeTasks";
import type { Schedule, ScheduleProblem } from "./problem";

/** Reads off what a placing means: first and last minute, heaters, lateness, waits too long, and what it costs. */
export function describeSchedule(problem: ScheduleProblem, placing: Placing): Schedule {
  const listed = toPlacedTasks(problem, placing);
  const { cost, broken } = judge(problem, { ...placing, isForced: true });
  const heaterStarts = findHeaterStarts(problem, placing);
  const idOf = (task: number) => problem.tasks[task]?.id ?? "";
  const late = problem.tasks.flatMap(({ id, dueMin }, i) => {
    const lateMin = dueMin === null ? 0 : placing.ends[i]! - dueMin;
    return dueMin !== null && lateMin > 0 ? [{ taskId: id, dueMin, lateMin }] : [];
  });
  const firstMin = Math.min(
    ...listed.map(({ startMin }) => startMin),
    ...heaterStarts.map(({ lightMin }) => lightMin),
  );
  return {
    placed: listed.sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin),
    heaterStarts,
    startMin: listed.length > 0 ? firstMin : problem.openMin,
    endMin: listed.length > 0 ? Math.max(...listed.map(({ endMin }) => endMin)) : problem.openMin,
    late,
    brokenWaits: broken.map(({ task, before, overMin }) => ({
      taskId: idOf(task),
      afterTaskId: idOf(before),
      overMin,
    })),
    overfull: findOverfull(problem, listed),
    cost,
  };
}
