import type { ScheduleProblem, ScheduleTask, TaskMode } from "../schedule";
import { UNTOUCHED, type RunState } from "./foldRun";
import type { Retimed } from "./retimeRun";
import type { RunPlan } from "./runProblem";

/** A job as the face of a running day shows it. */
export interface RunJob {
  readonly taskId: string;
  readonly startMin: number;
  readonly endMin: number;
  readonly hasBegun: boolean;
}

/** What goes on without hands. */
export interface SelfRunning extends RunJob {
  /** Minutes until hands are wanted again; below 0 they are overdue. */
  readonly leftMin: number;
}

/** What was begun and left to itself between two jobs: chilling, resting, cooling. */
export interface Standing {
  /** The job that it waits for. */
  readonly taskId: string;
  readonly afterTaskId: string;
  readonly readyMin: number;
  readonly leftMin: number;
}

/** An oven or a fryer on its way to a heat. */
export interface Heating {
  readonly resourceId: string;
  readonly toC: number;
  readonly hotMin: number;
  /** For which task. */
  readonly taskId: string;
}

/** What a person at the bench is shown. */
export interface RunView {
  /** The job in hand or the one whose turn it is; null when all is done. */
  readonly now: RunJob | null;
  /** The soonest to want hands first. */
  readonly byItself: readonly SelfRunning[];
  readonly heating: readonly Heating[];
  /** The soonest ready first. */
  readonly standing: readonly Standing[];
  /** After the job now, in their order. */
  readonly next: readonly RunJob[];
  /** Of these the one that hands go on with as soon as the job now is done; null where they wait or look first. */
  readonly following: string | null;
  readonly doneCount: number;
  readonly taskCount: number;
  /** Minutes that the job now, or if there is none the last thing promised, ends before the frozen plan; below 0 after it. */
  readonly aheadMin: number;
  /** The end of the last thing promised, and by when it was. */
  readonly lastPromise: { readonly endMin: number; readonly dueMin: number } | null;
}

/**
 * The face of a run at a moment.
 * @param isOurs - Whether a task is for whoever looks: mine, the helper's, or all.
 */
export function viewRun(
  plan: RunPlan,
  retimed: Retimed,
  state: RunState,
  nowMin: number,
  isOurs: (taskId: string) => boolean,
): RunView {
  const { problem } = retimed;
  const laidAs = new Map(retimed.laid.map(({ taskId, mode }) => [taskId, mode]));
  const modeOf = new Map(plan.problem.tasks.map(({ id, modes }) => [id, modes[laidAs.get(id) ?? 0]]));
  const hands = new Set(problem.resources.flatMap(({ id, isHands }) => (isHands ? [id] : [])));
  const jobs = retimed.schedule.placed
    .filter(({ taskId }) => (state.tasks[taskId] ?? UNTOUCHED).doneMin === null)
    .map(({ taskId, startMin, endMin }): RunJob => ({
      taskId,
      startMin,
      endMin,
      hasBegun: (state.tasks[taskId] ?? UNTOUCHED).begunMin !== null,
    }))
    .sort(compareJobs);
  const byItself = jobs
    .flatMap((job): SelfRunning[] => {
      const { moreMin } = state.tasks[job.taskId] ?? UNTOUCHED;
      const leftMin = job.hasBegun ? findLeftMin(modeOf.get(job.taskId), job, moreMin, hands, nowMin) : null;
      return leftMin === null ? [] : [{ ...job, leftMin }];
    })
    .sort((a, b) => a.leftMin - b.leftMin);
  const isAlone = new Set(byItself.flatMap(({ taskId, leftMin }) => (leftMin > 0 ? [taskId] : [])));
  const [now, ...next] = jobs.filter(({ taskId }) => isOurs(taskId) && !isAlone.has(taskId));
  const last = findLastPromise(plan.problem, retimed.schedule.placed);
  const planned = toEnds(plan);
  const plannedEndMin = now
    ? planned.find(({ taskId }) => taskId === now.taskId)?.endMin
    : findLastPromise(plan.problem, planned)?.endMin;
  const endMin = now ? now.endMin : last?.endMin;
  return {
    now: now ?? null,
    byItself: byItself.filter(({ taskId }) => taskId !== now?.taskId),
    heating: listHeating(retimed, state, nowMin),
    standing: listStanding(problem.tasks, state, nowMin),
    next,
    following: now ? findFollowing(now, next, plan.problem.tasks, state, nowMin) : null,
    doneCount: problem.tasks.length - jobs.length,
    taskCount: problem.tasks.length,
    aheadMin: plannedEndMin !== undefined && endMin !== undefined ? plannedEndMin - endMin : 0,
    lastPromise: last,
  };
}

/** What is in hand first: of two jobs the one that ends first. Then what comes, in its order. */
const compareJobs = (a: RunJob, b: RunJob): number =>
  Number(b.hasBegun) - Number(a.hasBegun) ||
  (a.hasBegun ? a.endMin - b.endMin : 0) ||
  a.startMin - b.startMin ||
  a.endMin - b.endMin;

/**
 * Minutes until something that runs wants hands again: to look, to take it out, else at its end. Null while hands are on
 * it, and when they are overdue. By the frozen way of doing it: what it was given beyond that comes later by as much.
 */
function findLeftMin(
  mode: TaskMode | undefined,
  { startMin, endMin }: RunJob,
  moreMin: number,
  hands: ReadonlySet<string>,
  nowMin: number,
): number | null {
  const uses = (mode?.uses ?? [])
    .filter(({ resourceId }) => hands.has(resourceId))
    .map(({ fromMin, toMin }) => {
      const byMin = fromMin > 0 ? moreMin : 0;
      return { fromMin: startMin + fromMin + byMin, toMin: startMin + toMin + byMin };
    });
  if (uses.length === 0) return endMin - nowMin;
  if (uses.some(({ fromMin, toMin }) => fromMin <= nowMin && nowMin < toMin)) return null;
  const coming = uses.map(({ fromMin }) => fromMin).filter((fromMin) => fromMin > nowMin);
  return coming.length > 0 ? Math.min(...coming) - nowMin : null;
}

/**
 * Waits that have begun and are not over, for tasks that have not begun: of several for one task the longest, of several
 * tasks that wait for one thing alike the first.
 */
function listStanding(tasks: readonly ScheduleTask[], state: RunState, nowMin: number): Standing[] {
  const told = new Set<string>();
  return tasks
    .flatMap(({ id, after }): Standing[] => {
      if ((state.tasks[id] ?? UNTOUCHED).begunMin !== null) return [];
      const waits = after.flatMap(({ taskId, from, minWaitMin }): Standing[] => {
        const doneMin = (state.tasks[taskId] ?? UNTOUCHED).doneMin;
        if (doneMin === null || from === "start" || minWaitMin === 0) return [];
        const readyMin = Math.ceil(doneMin) + minWaitMin;
        return [{ taskId: id, afterTaskId: taskId, readyMin, leftMin: readyMin - nowMin }];
      });
      const last = waits.sort((a, b) => b.readyMin - a.readyMin)[0];
      return last && last.leftMin > 0 ? [last] : [];
    })
    .sort((a, b) => a.readyMin - b.readyMin)
    .filter(({ afterTaskId, readyMin }) => {
      const key = `${afterTaskId} ${readyMin}`;
      return !told.has(key) && told.add(key);
    });
}

/** A pause as short as this is none for hands that are free, min. */
const NO_PAUSE_MIN = 10;

/**
 * The next job, if nothing stands between it and the end of the job now: what it waits for is done and over, and it needs
 * no heat that must be looked at first.
 */
function findFollowing(
  now: RunJob,
  [next]: readonly RunJob[],
  tasks: readonly ScheduleTask[],
  state: RunState,
  nowMin: number,
): string | null {
  const task = tasks.find(({ id }) => id === next?.taskId);
  if (!next || !task || next.hasBegun || next.startMin > now.endMin + NO_PAUSE_MIN) return null;
  if (task.modes.some(({ heat }) => heat !== null)) return null;
  const isFree = task.after.every(({ taskId, from, minWaitMin }) => {
    if (taskId === now.taskId) return minWaitMin === 0 || from === "start";
    const { begunMin, doneMin } = state.tasks[taskId] ?? UNTOUCHED;
    const fromMin = from === "start" ? begunMin : doneMin;
    return fromMin !== null && fromMin + minWaitMin <= nowMin;
  });
  return isFree ? next.taskId : null;
}

const toEnds = ({ problem, placed }: RunPlan) => {
  const taskOf = new Map(problem.tasks.map((task) => [task.id, task]));
  return placed.map(({ taskId, startMin, mode }) => ({
    taskId,
    endMin: startMin + (taskOf.get(taskId)?.modes[mode]?.durationMin ?? 0),
  }));
};

function findLastPromise(
  { tasks }: ScheduleProblem,
  ends: readonly { readonly taskId: string; readonly endMin: number }[],
): RunView["lastPromise"] {
  const endOf = new Map(ends.map(({ taskId, endMin }) => [taskId, endMin]));
  return tasks.reduce<RunView["lastPromise"]>((last, { id, dueMin }) => {
    const endMin = endOf.get(id);
    if (dueMin === null || endMin === undefined || (last && last.endMin >= endMin)) return last;
    return { endMin, dueMin };
  }, null);
}

/** Heaters that are lit for a first load still to come. */
function listHeating({ problem: { tasks }, schedule }: Retimed, state: RunState, nowMin: number): Heating[] {
  const placedOf = new Map(schedule.placed.map((each) => [each.taskId, each]));
  return schedule.heaterStarts.flatMap(({ resourceId, lightMin, firstUseMin, heatC }): Heating[] => {
    if (lightMin > nowMin || firstUseMin <= nowMin) return [];
    const load = tasks.find(({ id, modes }) => {
      const placed = placedOf.get(id);
      const isFirst = placed?.startMin === firstUseMin && (state.tasks[id] ?? UNTOUCHED).begunMin === null;
      return isFirst && modes[placed.mode]?.uses.some((use) => use.resourceId === resourceId);
    });
    return load ? [{ resourceId, toC: heatC, hotMin: firstUseMin, taskId: load.id }] : [];
  });
}
