import { describeSchedule } from "./describeSchedule";
import { addToLaneInPlace, findNextStart, openLane, type Block } from "./lane";
import type { Order } from "./laySchedule";
import { listFollowers, placeTasks } from "./placeTasks";
import {
  edgeMin,
  type PlacedTask,
  type Schedule,
  type ScheduleProblem,
  type ScheduleTask,
  type TaskMode,
} from "./problem";

/**
 * A schedule that keeps every longest wait: tasks bound to each other by one, or by a hold, are laid out by themselves,
 * as one rigid chain, and the chains follow each other wherever their resources are free. Wasteful, and always feasible where each
 * chain is feasible by itself; the fallback where shifting single tasks does not mend a wait.
 */
export function layRigid(problem: ScheduleProblem, order: Order): Schedule {
  const chains = findChains(problem);
  const lanes = new Map(
    problem.resources.map((resource) => [resource.id, openLane(resource, problem.openMin, false)]),
  );
  const placed = new Map<string, PlacedTask>();
  for (const chain of sortChains(problem, chains)) {
    const template = layAlone(problem, chain, order);
    const blocks = [
      ...chain.flatMap((task) => {
        const own = template.get(task.id);
        const mode = own ? task.modes[own.mode] : undefined;
        return own && mode ? toBlocks(mode, own.startMin) : [];
      }),
      ...holdBlocks(problem, template),
    ];
    // Nobody in the chain may start before what it waits for outside of the chain.
    let shiftMin = Math.max(
      ...chain.map((task) => {
        const own = template.get(task.id)?.startMin ?? 0;
        const outside = task.after.map(({ taskId, minWaitMin }) => {
          const before = template.has(taskId) ? undefined : placed.get(taskId);
          return before ? before.endMin + minWaitMin : -Infinity;
        });
        return Math.max(problem.openMin, task.releaseMin ?? problem.openMin, ...outside) - own;
      }),
    );
    for (let moved = true; moved;) {
      moved = false;
      for (const { resourceId, block } of blocks) {
        const lane = lanes.get(resourceId);
        if (!lane) continue;
        const there = shift(block, shiftMin);
        const nextMin = findNextStart(lane, there, false);
        if (nextMin === null || !Number.isFinite(nextMin)) continue;
        shiftMin += nextMin - there.startMin;
        moved = true;
      }
    }
    for (const { resourceId, block } of blocks) {
      const lane = lanes.get(resourceId);
      if (lane) addToLaneInPlace(lane, shift(block, shiftMin));
    }
    for (const [id, own] of template)
      placed.set(id, { ...own, startMin: own.startMin + shiftMin, endMin: own.endMin + shiftMin });
  }
  return describeSchedule(problem, placed);
}

const shift = (block: Block, byMin: number): Block => ({
  ...block,
  startMin: block.startMin + byMin,
  endMin: block.endMin + byMin,
});

const toBlocks = ({ uses, heat }: TaskMode, startMin: number) =>
  uses.map(({ resourceId, fromMin, toMin, amount }) => ({
    resourceId,
    block: { startMin: startMin + fromMin, endMin: startMin + toMin, amount, heat },
  }));

/** What the chain holds from one of its tasks to another. */
const holdBlocks = ({ holds }: ScheduleProblem, template: ReadonlyMap<string, PlacedTask>) =>
  holds.flatMap(({ resourceId, amount, from, until }) => {
    const [first, last] = [template.get(from.taskId), template.get(until.taskId)];
    return first && last
      ? [
          {
            resourceId,
            block: { startMin: edgeMin(from, first), endMin: edgeMin(until, last), amount, heat: null },
          },
        ]
      : [];
  });

/** Tasks joined by longest waits or holds, and by tasks that lie between such: together they are one chain. */
function findChains({ tasks, holds }: ScheduleProblem): ScheduleTask[][] {
  const root = new Map(tasks.map(({ id }) => [id, id]));
  const find = (id: string): string => {
    const up = root.get(id) ?? id;
    return up === id ? id : find(up);
  };
  const join = (one: string, other: string) => root.set(find(one), find(other));
  for (const task of tasks)
    for (const { taskId, maxWaitMin } of task.after) if (maxWaitMin !== null) join(task.id, taskId);
  for (const { from, until } of holds) join(from.taskId, until.taskId);
  // Two chains that wait for each other both ways would never be laid: join them until none do.
  for (let changed = true; changed;) {
    changed = false;
    const before = reachChains(tasks, find);
    for (const [one, others] of before)
      for (const other of others)
        if (one !== other && before.get(other)?.has(one)) {
          join(one, other);
          changed = true;
        }
  }
  const chains = new Map<string, ScheduleTask[]>();
  for (const task of tasks) {
    const key = find(task.id);
    chains.set(key, [...(chains.get(key) ?? []), task]);
  }
  return [...chains.values()];
}

/** By chain: every chain that must come before it. */
function reachChains(tasks: readonly ScheduleTask[], find: (id: string) => string): Map<string, Set<string>> {
  const direct = new Map<string, Set<string>>();
  for (const task of tasks) {
    const own = direct.get(find(task.id)) ?? new Set<string>();
    for (const { taskId } of task.after) if (find(taskId) !== find(task.id)) own.add(find(taskId));
    direct.set(find(task.id), own);
  }
  const reached = new Map<string, Set<string>>();
  const reach = (id: string, seen: Set<string>): void => {
    for (const before of direct.get(id) ?? [])
      if (!seen.has(before)) {
        seen.add(before);
        reach(before, seen);
      }
  };
  for (const id of direct.keys()) {
    const seen = new Set<string>();
    reach(id, seen);
    reached.set(id, seen);
  }
  return reached;
}

/** Chains in an order in which each finds what it waits for laid, the earliest promise first. */
function sortChains({ tasks }: ScheduleProblem, chains: readonly ScheduleTask[][]): ScheduleTask[][] {
  const chainOf = new Map(chains.flatMap((chain) => chain.map(({ id }) => [id, chain] as const)));
  const followers = listFollowers(tasks);
  const dueOf = (chain: readonly ScheduleTask[]): number => {
    const seen = new Set<string>();
    const look = (task: ScheduleTask): number => {
      if (seen.has(task.id)) return Infinity;
      seen.add(task.id);
      const after = (followers.get(task.id) ?? []).map(({ follower }) => look(follower));
      return Math.min(task.dueMin ?? Infinity, ...after);
    };
    return Math.min(...chain.map(look));
  };
  const open = [...chains]
    .map((chain) => ({ chain, dueMin: dueOf(chain) }))
    .sort((a, b) => a.dueMin - b.dueMin);
  const laid = new Set<ScheduleTask[]>();
  const sorted: ScheduleTask[][] = [];
  while (open.length > 0) {
    const at = open.findIndex(({ chain }) =>
      chain.every(({ after }) =>
        after.every(({ taskId }) => {
          const other = chainOf.get(taskId);
          return other === chain || (other !== undefined && laid.has(other));
        }),
      ),
    );
    const [next] = open.splice(at, 1);
    if (at < 0 || !next) throw new RangeError("layRigid: tasks wait for each other");
    laid.add(next.chain);
    sorted.push(next.chain);
  }
  return sorted;
}

/** How often a chain by itself is pulled together. */
const PULLS = 60;

/** One chain with every resource to itself: forwards, what comes too early for a longest wait pulled after. */
function layAlone(
  problem: ScheduleProblem,
  chain: readonly ScheduleTask[],
  { modeOf, forwardRankOf }: Order,
): Map<string, PlacedTask> {
  const inside = new Set(chain.map(({ id }) => id));
  const alone: ScheduleProblem = {
    ...problem,
    resources: problem.resources.map((resource) => ({ ...resource, away: [] })),
    holds: problem.holds.filter(({ from }) => inside.has(from.taskId)),
    tasks: chain.map((task) => ({
      ...task,
      after: task.after.filter(({ taskId }) => inside.has(taskId)),
      pinnedMin: null,
    })),
  };
  const releases = new Map<string, number>();
  let best: { placed: Map<string, PlacedTask>; over: number } | null = null;
  for (let round = 0; round < PULLS; round++) {
    const placed = placeTasks(alone, {
      releaseMin: (task) => releases.get(task.id) ?? 0,
      rank: (task, earliestMin) => [...(forwardRankOf?.(task) ?? []), earliestMin],
      modeOf,
      coldUntilMin: null,
      mirrored: false,
    });
    const { brokenWaits } = describeSchedule(alone, placed);
    const over = brokenWaits.reduce((sum, { overMin }) => sum + overMin, 0);
    if (!best || over < best.over) best = { placed, over };
    if (over === 0) break;
    for (const { afterTaskId, overMin } of brokenWaits)
      releases.set(afterTaskId, (placed.get(afterTaskId)?.startMin ?? 0) + overMin);
  }
  return best?.placed ?? new Map<string, PlacedTask>();
}
