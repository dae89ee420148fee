import {
  computeChangeoverMin,
  type PlacedTask,
  type ScheduleProblem,
  type ScheduleResource,
  type ScheduleTask,
  type TaskHeat,
} from "./problem";

interface Block {
  readonly startMin: number;
  readonly endMin: number;
  readonly heat: TaskHeat | null;
}

export interface PlacingRules {
  /** Earliest start of each task, over and above its waits. */
  readonly releaseMin: (task: ScheduleTask) => number;
  /** Of the tasks that could come next, the one with the lowest figures goes first. */
  readonly rank: (task: ScheduleTask, earliestMin: number) => readonly number[];
  /** When heaters begin cold, or null if that is seen to afterwards. */
  readonly coldUntilMin: number | null;
  /** Time runs backwards: a change of temperature is made in the other direction. */
  readonly mirrored: boolean;
}

/**
 * Places every task as early as its waits, its release and its resources allow, one after the other (serial
 * schedule generation). Longest waits are not enforced here. O(tasks · ready tasks + tasks · blocks).
 * @throws {RangeError} If tasks wait for each other in a circle or name something unknown.
 */
export function placeTasks(problem: ScheduleProblem, rules: PlacingRules): Map<string, PlacedTask> {
  const resources = new Map(problem.resources.map((resource) => [resource.id, resource]));
  const blocks = new Map<string, Block[]>(
    problem.resources.map(({ id, heater }) => [id, startBlocks(heater, rules)]),
  );
  const placed = new Map<string, PlacedTask>();
  const followers = listFollowers(problem.tasks);
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
    const startMin = findFreeStart(task, next.earliestMin, blocks, resources, rules.mirrored);
    for (const use of task.uses) {
      const block = { startMin: startMin + use.fromMin, endMin: startMin + use.toMin, heat: task.heat };
      const lane = blocks.get(use.resourceId) ?? [];
      lane.splice(findFirstEndingAfter(lane, block.startMin), 0, block);
    }
    placed.set(task.id, { taskId: task.id, startMin, endMin: startMin + task.durationMin });
    for (const { follower, position } of followers.get(task.id) ?? []) {
      const missing = (waitingFor.get(follower.id) ?? 0) - 1;
      waitingFor.set(follower.id, missing);
      if (missing === 0) admit(follower, position);
    }
  }
  return placed;
}

function startBlocks(heater: ScheduleResource["heater"], { coldUntilMin }: PlacingRules): Block[] {
  if (!heater || coldUntilMin === null) return [];
  return [{ startMin: -Infinity, endMin: coldUntilMin, heat: { startC: heater.restC, endC: heater.restC } }];
}

/** A task that could come next. */
interface ReadyTask {
  readonly task: ScheduleTask;
  /** In the problem's list: of equal ranks the one listed first goes first. */
  readonly position: number;
  readonly earliestMin: number;
  readonly ranks: readonly number[];
}

/** By task id: the tasks that wait for it, once for each wait. */
function listFollowers(tasks: readonly ScheduleTask[]) {
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

/** The first start from `earliestMin` on at which everything the task uses is free. */
function findFreeStart(
  task: ScheduleTask,
  earliestMin: number,
  blocks: ReadonlyMap<string, readonly Block[]>,
  resources: ReadonlyMap<string, ScheduleResource>,
  mirrored: boolean,
): number {
  let startMin = earliestMin;
  for (let moved = true; moved;) {
    moved = false;
    for (const { resourceId, fromMin, toMin } of task.uses) {
      const resource = resources.get(resourceId);
      const lane = blocks.get(resourceId);
      if (!resource || !lane) throw new RangeError(`placeTasks: ${task.id} uses unknown ${resourceId}`);
      // Blocks of a lane do not overlap, so they are in the order of their ends too. What ends before the task
      // begins matters only to a heater, and of those only the last.
      const from = findFirstEndingAfter(lane, startMin + fromMin) - (resource.heater ? 1 : 0);
      for (let i = Math.max(from, 0); i < lane.length; i++) {
        const block = lane[i];
        if (!block) break;
        const gapBefore = findGapMin(resource, block.heat, task.heat, mirrored);
        const gapAfter = findGapMin(resource, task.heat, block.heat, mirrored);
        if (startMin + fromMin >= block.endMin + gapBefore) continue;
        if (startMin + toMin + gapAfter <= block.startMin) {
          if (!resource.heater) break;
          continue;
        }
        startMin = block.endMin + gapBefore - fromMin;
        moved = true;
      }
    }
  }
  return startMin;
}

/** Index of the first block that ends after a minute; the lane's length if none does. O(log blocks). */
function findFirstEndingAfter(lane: readonly Block[], minute: number): number {
  let [low, high] = [0, lane.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((lane[middle]?.endMin ?? Infinity) > minute) high = middle;
    else low = middle + 1;
  }
  return low;
}

function findGapMin(
  { heater }: ScheduleResource,
  earlier: TaskHeat | null,
  later: TaskHeat | null,
  mirrored: boolean,
): number {
  if (!heater || !earlier || !later) return 0;
  return mirrored
    ? computeChangeoverMin(heater, later.endC, earlier.startC)
    : computeChangeoverMin(heater, earlier.endC, later.startC);
}
