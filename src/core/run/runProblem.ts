import type { LaidTask, ScheduleProblem, ScheduleTask, TaskMode } from "../schedule";
import { UNTOUCHED, type RunState, type TaskRun } from "./foldRun";

/** A frozen day: what was to be done, and where each task was laid. */
export interface RunPlan {
  readonly problem: ScheduleProblem;
  readonly placed: readonly LaidTask[];
  /** By task id: minutes at its end that are kept for "not yet", where there are. */
  readonly slackMin?: Readonly<Record<string, number>> | undefined;
  /** The event that gave this order on the day; nothing where it is the plan's. */
  readonly orderId?: string | undefined;
}

/**
 * The rest of the day as a scheduling problem: what is done stands where it was, for what waits for it and for the heat
 * it left in an oven; what runs stands where it began and takes as long as was said, and when that is over it may end
 * any minute; what has not begun cannot begin before now.
 * @param nowMin - Minutes of the day; a fraction counts as the next whole minute.
 */
export function toRunProblem(
  { problem, placed, slackMin = {} }: RunPlan,
  state: RunState,
  nowMin: number,
): ScheduleProblem {
  const modeOf = new Map(placed.map(({ taskId, mode }) => [taskId, mode]));
  const now = Math.ceil(nowMin);
  const hands = new Set(problem.resources.flatMap(({ id, isHands }) => (isHands ? [id] : [])));
  const heaters = new Set(problem.resources.flatMap(({ id, heater }) => (heater ? [id] : [])));
  const lastLoads = findLastLoads(problem, state, modeOf, heaters);
  const tasks = problem.tasks.map((task): ScheduleTask => {
    const run = state.tasks[task.id] ?? UNTOUCHED;
    const mode = task.modes[modeOf.get(task.id) ?? 0] ?? task.modes[0]!;
    if (run.begunMin === null)
      return { ...task, releaseMin: Math.max(task.releaseMin ?? problem.openMin, now) };
    const startMin = Math.floor(run.begunMin);
    const moreMin = Math.max(Math.round(run.moreMin) - (slackMin[task.id] ?? 0), 0);
    const stretched =
      run.doneMin === null
        ? stretch(mode, Math.max(mode.durationMin + moreMin, now - startMin, 1))
        : stretch(mode, Math.max(Math.ceil(run.doneMin) - startMin, 1));
    // Hands that are free again hold nobody up, and of past loads only the last says how hot the oven is.
    const isOver = run.doneMin !== null;
    const uses = stretched.uses.filter(
      ({ resourceId, toMin }) =>
        (!isOver || lastLoads.has(`${resourceId} ${task.id}`)) &&
        !(hands.has(resourceId) && startMin + toMin <= now),
    );
    // It has begun, whatever it should have waited for: what of that is not done yet does not push it on.
    return { ...task, after: [], releaseMin: null, pinnedMin: startMin, modes: [{ ...stretched, uses }] };
  });
  const openMin = tasks.reduce(
    (least, { pinnedMin }) => Math.min(least, pinnedMin ?? Infinity),
    problem.openMin,
  );
  return { ...problem, tasks, openMin };
}

/** A way of doing it that takes longer or less long: what comes at its end moves with the end. */
function stretch(mode: TaskMode, durationMin: number): TaskMode {
  const byMin = durationMin - mode.durationMin;
  return {
    ...mode,
    durationMin,
    uses: mode.uses.flatMap((use) => {
      const toMin = use.toMin === mode.durationMin ? durationMin : Math.min(use.toMin, durationMin);
      const isAtEnd = use.toMin === mode.durationMin && use.fromMin > 0;
      const fromMin = isAtEnd ? Math.max(use.fromMin + byMin, 0) : use.fromMin;
      return toMin > fromMin ? [{ ...use, fromMin, toMin }] : [];
    }),
  };
}

/** Of each heater the load that was done in it last, as “heater task”. */
function findLastLoads(
  { tasks }: ScheduleProblem,
  state: RunState,
  modeOf: ReadonlyMap<string, number>,
  heaters: ReadonlySet<string>,
): ReadonlySet<string> {
  const last = new Map<string, { taskId: string; doneMin: number }>();
  for (const { id, modes } of tasks) {
    const doneMin: TaskRun["doneMin"] = state.tasks[id]?.doneMin ?? null;
    if (doneMin === null) continue;
    for (const { resourceId } of modes[modeOf.get(id) ?? 0]?.uses ?? []) {
      if (heaters.has(resourceId) && doneMin > (last.get(resourceId)?.doneMin ?? -Infinity))
        last.set(resourceId, { taskId: id, doneMin });
    }
  }
  return new Set([...last].map(([resourceId, { taskId }]) => `${resourceId} ${taskId}`));
}
