import {
  computeChangeoverMin,
  type PlacedTask,
  type ScheduleProblem,
  type ScheduleResource,
  type ScheduleTask,
} from "./problem";

interface Block {
  readonly startMin: number;
  readonly endMin: number;
  readonly heatC: number | null;
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
 * schedule generation). Longest waits are not enforced here. O(tasks² + tasks · blocks).
 * @throws {RangeError} If tasks wait for each other in a circle or name something unknown.
 */
export function placeTasks(problem: ScheduleProblem, rules: PlacingRules): Map<string, PlacedTask> {
  const resources = new Map(problem.resources.map((resource) => [resource.id, resource]));
  const blocks = new Map<string, Block[]>(
    problem.resources.map(({ id, heater }) => [id, startBlocks(heater, rules)]),
  );
  const placed = new Map<string, PlacedTask>();
  const open = new Set(problem.tasks);
  while (open.size > 0) {
    let next: { task: ScheduleTask; earliestMin: number; ranks: readonly number[] } | null = null;
    for (const task of open) {
      const earliestMin = findEarliest(task, placed, rules.releaseMin(task));
      if (earliestMin === null) continue;
      const ranks = rules.rank(task, earliestMin);
      if (!next || comesFirst(ranks, next.ranks)) next = { task, earliestMin, ranks };
    }
    if (!next)
      throw new RangeError(
        `placeTasks: tasks wait for each other: ${[...open].map(({ id }) => id).join(", ")}`,
      );
    const { task } = next;
    const startMin = findFreeStart(task, next.earliestMin, blocks, resources, rules.mirrored);
    for (const use of task.uses) {
      const block = { startMin: startMin + use.fromMin, endMin: startMin + use.toMin, heatC: task.heatC };
      const lane = blocks.get(use.resourceId) ?? [];
      lane.push(block);
      lane.sort((a, b) => a.startMin - b.startMin);
    }
    placed.set(task.id, { taskId: task.id, startMin, endMin: startMin + task.durationMin });
    open.delete(task);
  }
  return placed;
}

function startBlocks(heater: ScheduleResource["heater"], { coldUntilMin }: PlacingRules): Block[] {
  if (!heater || coldUntilMin === null) return [];
  return [{ startMin: -Infinity, endMin: coldUntilMin, heatC: heater.restC }];
}

/** Earliest start by waits and release, or null while something it waits for is not placed. */
function findEarliest(
  task: ScheduleTask,
  placed: ReadonlyMap<string, PlacedTask>,
  releaseMin: number,
): number | null {
  let earliestMin = releaseMin;
  for (const { taskId, minWaitMin } of task.after) {
    const other = placed.get(taskId);
    if (!other) return null;
    earliestMin = Math.max(earliestMin, other.endMin + minWaitMin);
  }
  return earliestMin;
}

function comesFirst(left: readonly number[], right: readonly number[]): boolean {
  const index = left.findIndex((value, i) => value !== right[i]);
  return index >= 0 && (left[index] ?? 0) < (right[index] ?? 0);
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
      for (const block of lane) {
        const gapBefore = findGapMin(resource, block.heatC, task.heatC, mirrored);
        const gapAfter = findGapMin(resource, task.heatC, block.heatC, mirrored);
        const clear =
          startMin + fromMin >= block.endMin + gapBefore || startMin + toMin + gapAfter <= block.startMin;
        if (clear) continue;
        startMin = block.endMin + gapBefore - fromMin;
        moved = true;
      }
    }
  }
  return startMin;
}

function findGapMin(
  { heater }: ScheduleResource,
  earlierC: number | null,
  laterC: number | null,
  mirrored: boolean,
): number {
  if (!heater || earlierC === null || laterC === null) return 0;
  return mirrored
    ? computeChangeoverMin(heater, laterC, earlierC)
    : computeChangeoverMin(heater, earlierC, laterC);
}
