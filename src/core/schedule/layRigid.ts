import { framesOf } from "./frame";
import { judge, type Judged } from "./judge";
import type { Lane } from "./lane";
import { openLane } from "./openLane";
import type { Order } from "./order";
import { placeTasks, type Placing } from "./placeTasks";
import { edgeMin, type PlacedTask, type ScheduleProblem, type ScheduleTask, type TaskHeat } from "./problem";

/**
 * A schedule that keeps every longest wait: tasks bound to each other by one, or by a hold, are laid out by themselves,
 * as one rigid chain, and the chains follow each other wherever their resources are free. Wasteful, and always feasible where each
 * chain is feasible by itself; the fallback where shifting single tasks does not mend a wait.
 */
export function layRigid(problem: ScheduleProblem, order: Order): Judged {
  const lanes = new Map(
    problem.resources.map((resource) => [resource.id, openLane(resource, problem.openMin, false)]),
  );
  const placed = new Map<string, PlacedTask>();
  const placeOf = new Map(problem.tasks.map(({ id }, i) => [id, i]));
  for (const chain of sortChains(problem, findChains(problem))) {
    const template = layAlone(problem, chain, order, placeOf);
    const blocks = [
      ...chain.flatMap((task) => toBlocks(task, template.get(task.id))),
      ...holdBlocks(problem, template),
    ];
    // Nobody in the chain may start before what it waits for outside of the chain.
    let shiftMin = Math.max(
      ...chain.map((task) => {
        const own = template.get(task.id)?.startMin ?? 0;
        const outside = task.after.map(({ taskId, minWaitMin, from = "end" }) => {
          const before = template.has(taskId) ? undefined : placed.get(taskId);
          return before ? edgeMin({ taskId, edge: from }, before) + minWaitMin : -Infinity;
        });
        return Math.max(problem.openMin, task.releaseMin ?? problem.openMin, ...outside) - own;
      }),
    );
    for (let byMin = addChainInPlace(lanes, blocks, shiftMin); byMin > 0;) {
      shiftMin += byMin;
      byMin = addChainInPlace(lanes, blocks, shiftMin);
    }
    for (const [id, own] of template)
      placed.set(id, { ...own, startMin: own.startMin + shiftMin, endMin: own.endMin + shiftMin });
  }
  const at = (pick: (task: PlacedTask) => number) =>
    problem.tasks.map(({ id }) => {
      const own = placed.get(id);
      return own ? pick(own) : NaN;
    });
  return judge(problem, {
    starts: Float64Array.from(at(({ startMin }) => startMin)),
    ends: Float64Array.from(at(({ endMin }) => endMin)),
    modes: Int32Array.from(at(({ mode }) => mode)),
    // Chains do not see each other's holds as single tasks do: what is overfull is looked for.
    isForced: true,
  });
}

/** What is taken of a resource for some minutes. */
interface Block {
  readonly resourceId: string;
  readonly startMin: number;
  readonly endMin: number;
  readonly amount: number;
  readonly heat: TaskHeat | null;
}

/**
 * Puts all of a chain's blocks into their lanes, each beside the others of the chain: what runs side by side in it needs
 * room for all of it at once.
 * @returns 0 if they are in; else by how much later the whole is to be tried, and nothing is in.
 */
function addChainInPlace(
  lanes: ReadonlyMap<string, Lane>,
  blocks: readonly Block[],
  shiftMin: number,
): number {
  // Where it stands alone in the way of others, by how much; where only together, until the first of the others ends.
  for (const { resourceId, startMin, endMin, amount, heat } of blocks) {
    const nextMin =
      lanes.get(resourceId)?.findNextStart(startMin + shiftMin, endMin + shiftMin, amount, heat) ?? NaN;
    if (Number.isFinite(nextMin)) return nextMin - (startMin + shiftMin);
  }
  const added: Block[] = [];
  for (const block of blocks) {
    const { resourceId, amount, heat } = block;
    const [startMin, endMin] = [block.startMin + shiftMin, block.endMin + shiftMin];
    const lane = lanes.get(resourceId);
    if (!lane) continue;
    if (!Number.isNaN(lane.findNextStart(startMin, endMin, amount, heat))) {
      for (const each of added)
        lanes.get(each.resourceId)?.take(each.startMin + shiftMin, each.endMin + shiftMin, each.amount);
      const endsMin = lane.findFirstEnd(startMin, endMin);
      // Nobody else is there: the chain by itself asks for too much, and is told to be overfull.
      if (Number.isFinite(endsMin) && endsMin > startMin) return endsMin - startMin;
      for (const each of blocks)
        lanes
          .get(each.resourceId)
          ?.add(each.startMin + shiftMin, each.endMin + shiftMin, each.amount, each.heat);
      return 0;
    }
    lane.add(startMin, endMin, amount, heat);
    added.push(block);
  }
  return 0;
}

function toBlocks({ modes }: ScheduleTask, own: PlacedTask | undefined): Block[] {
  const mode = own ? modes[own.mode] : undefined;
  if (!own || !mode) return [];
  return mode.uses.map(({ resourceId, fromMin, toMin, amount }) => ({
    resourceId,
    startMin: own.startMin + fromMin,
    endMin: own.startMin + toMin,
    amount,
    heat: mode.heat,
  }));
}

/** What the chain holds from one of its tasks to another. */
const holdBlocks = ({ holds }: ScheduleProblem, template: ReadonlyMap<string, PlacedTask>): Block[] =>
  holds.flatMap(({ resourceId, amount, from, until }) => {
    const [first, last] = [template.get(from.taskId), template.get(until.taskId)];
    return first && last
      ? [{ resourceId, startMin: edgeMin(from, first), endMin: edgeMin(until, last), amount, heat: null }]
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
  // Two chains that wait for each other both ways would never be laid: they are one.
  for (const circle of findCircles(waitsOfChains(tasks, find))) for (const id of circle) join(id, circle[0]!);
  const chains = new Map<string, ScheduleTask[]>();
  for (const task of tasks) {
    const key = find(task.id);
    const chain = chains.get(key);
    if (chain) chain.push(task);
    else chains.set(key, [task]);
  }
  return [...chains.values()];
}

/** By chain: the chains it waits for. */
function waitsOfChains(
  tasks: readonly ScheduleTask[],
  find: (id: string) => string,
): ReadonlyMap<string, ReadonlySet<string>> {
  const waits = new Map<string, Set<string>>();
  for (const task of tasks) {
    const chain = find(task.id);
    const own = waits.get(chain) ?? new Set<string>();
    for (const { taskId } of task.after) if (find(taskId) !== chain) own.add(find(taskId));
    waits.set(chain, own);
  }
  return waits;
}

/** Those that wait for each other in circles, each circle once (strong components, after Tarjan 1972). O(chains + waits). */
function findCircles(waits: ReadonlyMap<string, ReadonlySet<string>>): string[][] {
  const seenAs = new Map<string, number>();
  const lowest = new Map<string, number>();
  const open: string[] = [];
  const isOpen = new Set<string>();
  const circles: string[][] = [];
  for (const root of waits.keys()) {
    if (seenAs.has(root)) continue;
    const path: { readonly id: string; readonly left: Iterator<string> }[] = [];
    const enter = (id: string) => {
      seenAs.set(id, seenAs.size);
      lowest.set(id, seenAs.size - 1);
      open.push(id);
      isOpen.add(id);
      path.push({ id, left: (waits.get(id) ?? new Set<string>()).values() });
    };
    enter(root);
    for (let top = path.at(-1); top; top = path.at(-1)) {
      const { id, left } = top;
      const next = left.next();
      if (!next.done) {
        if (!seenAs.has(next.value)) enter(next.value);
        else if (isOpen.has(next.value)) lowest.set(id, Math.min(lowest.get(id)!, seenAs.get(next.value)!));
        continue;
      }
      path.pop();
      const up = path.at(-1);
      if (up) lowest.set(up.id, Math.min(lowest.get(up.id)!, lowest.get(id)!));
      if (lowest.get(id) !== seenAs.get(id)) continue;
      const circle = open.splice(open.indexOf(id));
      for (const each of circle) isOpen.delete(each);
      if (circle.length > 1) circles.push(circle);
    }
  }
  return circles;
}

/** Chains in an order in which each finds what it waits for laid, the earliest promise first. */
function sortChains(problem: ScheduleProblem, chains: readonly ScheduleTask[][]): ScheduleTask[][] {
  const { tasks } = problem;
  const chainOf = new Map(chains.flatMap((chain) => chain.map(({ id }) => [id, chain] as const)));
  const { followers } = framesOf(problem).real;
  const placeOf = new Map(tasks.map(({ id }, i) => [id, i]));
  const dues = new Map<number, number>();
  /** The earliest promise that waits for a task. */
  const dueOf = (task: number): number => {
    const known = dues.get(task);
    if (known !== undefined) return known;
    dues.set(task, Infinity);
    const dueMin = Math.min(tasks[task]!.dueMin ?? Infinity, ...(followers[task] ?? []).map(dueOf));
    dues.set(task, dueMin);
    return dueMin;
  };
  const open = [...chains]
    .map((chain) => ({ chain, dueMin: Math.min(...chain.map(({ id }) => dueOf(placeOf.get(id) ?? 0))) }))
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
  order: Order,
  placeOf: ReadonlyMap<string, number>,
): Map<string, PlacedTask> {
  const inside = new Set(chain.map(({ id }) => id));
  const places = chain.map(({ id }) => placeOf.get(id) ?? 0);
  const alone: ScheduleProblem = {
    ...problem,
    openMin: -Infinity,
    resources: problem.resources.map((resource) => ({ ...resource, away: [] })),
    holds: problem.holds.filter(({ from }) => inside.has(from.taskId)),
    tasks: chain.map((task) => ({
      ...task,
      after: task.after.filter(({ taskId }) => inside.has(taskId)),
      pinnedMin: null,
    })),
  };
  const rank = order.rank;
  const modes = order.modes;
  const releaseMin = new Float64Array(chain.length);
  const rules = {
    releaseMin,
    rank: rank && Float64Array.from(places, (place) => rank[place] ?? 0),
    tieRank: new Float64Array(chain.length),
    modes: modes && Int32Array.from(places, (place) => modes[place] ?? -1),
    coldUntilMin: null,
  };
  const { real } = framesOf(alone);
  let best: { readonly placing: Placing; readonly over: number } | null = null;
  for (let round = 0; round < PULLS; round++) {
    const placing = placeTasks(real, rules, (task) => chain[task]?.id ?? "");
    const { broken } = judge(alone, placing);
    const over = broken.reduce((sum, { overMin }) => sum + overMin, 0);
    if (!best || over < best.over) best = { placing, over };
    if (over === 0) break;
    for (const { before, overMin } of broken)
      releaseMin[before] = Math.max(releaseMin[before]!, placing.starts[before]! + overMin);
  }
  const found = best?.placing;
  return new Map(
    found
      ? chain.map(({ id }, i) => [
          id,
          { taskId: id, startMin: found.starts[i]!, endMin: found.ends[i]!, mode: found.modes[i]! },
        ])
      : [],
  );
}
