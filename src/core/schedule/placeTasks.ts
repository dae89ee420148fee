import { addToLaneInPlace, findNextStart, openLane, type Block, type Lane } from "./lane";
import type { PlacedTask, ScheduleProblem, ScheduleTask, TaskMode } from "./problem";

export interface PlacingRules {
  /** Earliest start of each task, over and above its waits. */
  readonly releaseMin: (task: ScheduleTask) => number;
  /** Of the tasks that could come next, the one with the lowest figures goes first. */
  readonly rank: (task: ScheduleTask, earliestMin: number) => readonly number[];
  /** The way a task is to be done; null to take whichever ends first. */
  readonly modeOf: (task: ScheduleTask) => number | null;
  /** When heaters begin cold, or null if that is seen to afterwards. */
  readonly coldUntilMin: number | null;
  /** Time runs backwards: a change of temperature is made in the other direction. */
  readonly mirrored: boolean;
}

/**
 * Places every task as early as its waits, its release and its resources allow, one after the other (serial
 * schedule generation). Longest waits are not enforced here. O(tasks · ready tasks + tasks · blocks).
 * @throws {RangeError} If tasks wait for each other in a circle, name something unknown, or ask for more of a resource
 * than there is.
 */
export function placeTasks(problem: ScheduleProblem, rules: PlacingRules): Map<string, PlacedTask> {
  const lanes = new Map(
    problem.resources.map((resource) => [
      resource.id,
      openLane(resource, rules.coldUntilMin, rules.mirrored),
    ]),
  );
  const placed = new Map<string, PlacedTask>();
  const followers = followersOf(problem);
  const waitingFor = new Map(problem.tasks.map(({ id, after }) => [id, after.length]));
  // What all its waits are placed for is ready; from then on its earliest start and its rank stand fast.
  const ready: ReadyTask[] = [];
  const admit = (task: ScheduleTask, position: number) => {
    const earliestMin = findEarliest(task, placed, rules.releaseMin(task));
    ready.push({ task, position, earliestMin, ranks: rules.rank(task, earliestMin) });
  };
  problem.tasks.forEach((task, position) => {
    if (task.after.length === 0) admit(task, position);
  });
  while (placed.size < problem.tasks.length) {
    const next = takeFirst(ready);
    if (!next) {
      const stuck = problem.tasks.filter(({ id }) => !placed.has(id)).map(({ id }) => id);
      throw new RangeError(`placeTasks: tasks wait for each other: ${stuck.join(", ")}`);
    }
    const { task } = next;
    const { startMin, mode, index } = chooseMode(task, next.earliestMin, lanes, rules);
    for (const use of mode.uses)
      addToLaneInPlace(laneOf(lanes, task, use.resourceId), toBlock(use, mode, startMin));
    placed.set(task.id, { taskId: task.id, startMin, endMin: startMin + mode.durationMin, mode: index });
    for (const { follower, position } of followers.get(task.id) ?? []) {
      const missing = (waitingFor.get(follower.id) ?? 0) - 1;
      waitingFor.set(follower.id, missing);
      if (missing === 0) admit(follower, position);
    }
  }
  return placed;
}

/** A task that could come next. */
interface ReadyTask {
  readonly task: ScheduleTask;
  /** In the problem's list: of equal ranks the one listed first goes first. */
  readonly position: number;
  readonly earliestMin: number;
  readonly ranks: readonly number[];
}

/** A search lays one problem thousands of times: who waits for whom is read once. */
const known = new WeakMap<ScheduleProblem, ReturnType<typeof listFollowers>>();
function followersOf(problem: ScheduleProblem): ReturnType<typeof listFollowers> {
  const found = known.get(problem) ?? listFollowers(problem.tasks);
  known.set(problem, found);
  return found;
}

/** By task id: the tasks that wait for it, once for each wait. */
export function listFollowers(tasks: readonly ScheduleTask[]) {
  const followers = new Map<string, { readonly follower: ScheduleTask; readonly position: number }[]>();
  tasks.forEach((follower, position) => {
    for (const { taskId } of follower.after) {
      const list = followers.get(taskId);
      if (list) list.push({ follower, position });
      else followers.set(taskId, [{ follower, position }]);
    }
  });
  return followers;
}

/** Takes the ready task with the lowest rank out of the list; null if none is ready. */
function takeFirst(ready: ReadyTask[]): ReadyTask | null {
  let best = 0;
  for (let i = 1; i < ready.length; i++) {
    const [left, right] = [ready[i], ready[best]];
    if (left && right && comesFirst(left, right)) best = i;
  }
  return ready.splice(best, 1)[0] ?? null;
}

/** Earliest start by waits and release; all it waits for is placed. */
function findEarliest(
  task: ScheduleTask,
  placed: ReadonlyMap<string, PlacedTask>,
  releaseMin: number,
): number {
  return task.after.reduce(
    (earliestMin, { taskId, minWaitMin }) =>
      Math.max(earliestMin, (placed.get(taskId)?.endMin ?? -Infinity) + minWaitMin),
    releaseMin,
  );
}

function comesFirst(left: ReadyTask, right: ReadyTask): boolean {
  const count = Math.min(left.ranks.length, right.ranks.length);
  for (let i = 0; i < count; i++) {
    const [a, b] = [left.ranks[i] ?? 0, right.ranks[i] ?? 0];
    if (a !== b) return a < b;
  }
  return left.position < right.position;
}

/** The mode asked for, or the one that ends first; of equals the one listed first. */
function chooseMode(
  task: ScheduleTask,
  earliestMin: number,
  lanes: ReadonlyMap<string, Lane>,
  { modeOf, mirrored }: PlacingRules,
): { startMin: number; mode: TaskMode; index: number } {
  const wanted = modeOf(task);
  let best: { startMin: number; mode: TaskMode; index: number } | null = null;
  task.modes.forEach((mode, index) => {
    if (wanted !== null && index !== wanted) return;
    const startMin = findFreeStart(task, mode, earliestMin, lanes, mirrored);
    if (!best || startMin + mode.durationMin < best.startMin + best.mode.durationMin)
      best = { startMin, mode, index };
  });
  if (!best) throw new RangeError(`placeTasks: ${task.id} has no mode ${wanted}`);
  return best;
}

/** The first start from `earliestMin` on at which everything the task uses is free. */
function findFreeStart(
  task: ScheduleTask,
  mode: TaskMode,
  earliestMin: number,
  lanes: ReadonlyMap<string, Lane>,
  mirrored: boolean,
): number {
  let startMin = earliestMin;
  for (let moved = true; moved;) {
    moved = false;
    for (const use of mode.uses) {
      const nextMin = findNextStart(
        laneOf(lanes, task, use.resourceId),
        toBlock(use, mode, startMin),
        mirrored,
      );
      if (nextMin === null) continue;
      if (!Number.isFinite(nextMin))
        throw new RangeError(
          `placeTasks: ${task.id} asks for ${use.amount} of ${use.resourceId}, more than there is`,
        );
      startMin = nextMin - use.fromMin;
      moved = true;
    }
  }
  return startMin;
}

const toBlock = (
  { fromMin, toMin, amount }: TaskMode["uses"][number],
  { heat }: TaskMode,
  startMin: number,
): Block => ({ startMin: startMin + fromMin, endMin: startMin + toMin, amount, heat });

function laneOf(lanes: ReadonlyMap<string, Lane>, { id }: ScheduleTask, resourceId: string): Lane {
  const lane = lanes.get(resourceId);
  if (!lane) throw new RangeError(`placeTasks: ${id} uses unknown ${resourceId}`);
  return lane;
}
