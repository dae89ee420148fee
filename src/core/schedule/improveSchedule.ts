import { laySchedule, type Effort, type Order } from "./laySchedule";
import { keepPlaces, type LaidTask } from "./keepPlaces";
import { boundSchedule, type ScheduleBound } from "./lowerBound";
import { pushLater } from "./pushLater";
import {
  compareCosts,
  type Schedule,
  type ScheduleCost,
  type ScheduleProblem,
  type ScheduleTask,
} from "./problem";
import { constructSchedule } from "./constructSchedule";

export interface Improvement {
  readonly schedule: Schedule;
  readonly bound: ScheduleBound;
  /** Share by which the schedule may still be above the best there is, in its first figure that is not proven best. */
  readonly gap: number;
  readonly tries: number;
}

export interface ImproveOptions {
  /** Fixed, the same schedule comes out for the same number of tries. */
  readonly random: () => number;
  /** Asked before every try, with their number so far. */
  readonly isOver: (tries: number) => boolean;
}

/** Tasks taken out at once: mostly one or two, now and then enough to let chains change places. */
const MOST_REMOVED = 12;
/** How strongly few are preferred to many: the power to which a random share is raised. */
const FEW_POWER = 3;
/** What is put back goes no further from its place than this share of the day's tasks, half of the time. */
const NEAR_SHARE = 0.2;
const SEARCH_EFFORT: Omit<Effort, "mostLateMin"> = { mendingRounds: 4, mayBeRigid: false };
/** A try worse than the best by no more than this share, or these minutes, is gone on from: it leads out of dead ends. */
const WORSE_SHARE = 0.03;
const WORSE_MIN = 5;
/** Chance that any other try is gone on from. */
const WORSE_CHANCE = 0.02;
const allow = (bestMin: number): number => bestMin + Math.max(bestMin * WORSE_SHARE, WORSE_MIN);
/** A try without any gain for so long goes back to the best. */
const PATIENCE = 120;

/** The search driven until it is over. @see {@link searchSchedule} */
export function improveSchedule(
  problem: ScheduleProblem,
  { random, isOver }: ImproveOptions,
  begin: Schedule | null = null,
): Improvement {
  const turns = searchSchedule(problem, random, begin);
  for (;;) {
    const { value, done } = turns.next();
    if (done || isOver(value.tries)) return value;
  }
}

/**
 * Large-neighbourhood search over the order in which tasks are laid and the machine each takes: some tasks (neighbours
 * in time, one chain, one machine, or any) are taken out of the order and put back elsewhere, and the whole is laid
 * anew. Never worse than what it begins with; ends by itself only where the bound is met.
 * @param random - Seeded, the same schedules come out for the same number of tries.
 * @param begin - A schedule to begin from; null to construct one.
 * @returns Yields the best so far after every try, first of all the one it begins with.
 */
export function* searchSchedule(
  problem: ScheduleProblem,
  random: () => number,
  begin: Schedule | null = null,
): Generator<Improvement, Improvement> {
  const bound = boundSchedule(problem);
  let best = begin ?? constructSchedule(problem);
  let tries = 0;
  const report = () => ({ schedule: best, bound, gap: findGap(best, bound), tries });
  yield report();
  if (problem.tasks.length < 2) return report();
  let current = readOrder(problem, best);
  let currentSchedule = best;
  let stale = 0;
  while (findGap(best, bound) > 0) {
    tries++;
    const next = ruin(problem, current, currentSchedule, random);
    const schedule = laySchedule(problem, toOrder(next), {
      ...SEARCH_EFFORT,
      mostLateMin: Math.max(currentSchedule.cost.latenessMin, allow(best.cost.latenessMin)),
    });
    const isTaken =
      isNear(schedule.cost, best.cost) || compareCosts(schedule.cost, currentSchedule.cost) <= 0;
    if (isTaken || random() < WORSE_CHANCE) {
      current = readOrder(problem, schedule, next.modes);
      currentSchedule = schedule;
    }
    if (compareCosts(schedule.cost, best.cost) < 0) {
      best = schedule;
      stale = 0;
    } else if (++stale > PATIENCE) {
      stale = 0;
      current = readOrder(problem, best);
      currentSchedule = best;
    }
    yield report();
  }
  return report();
}

/**
 * One that was kept, for a problem that may have changed since: where every task can still be where it was, just that;
 * else in the same order and with the same machines, tasks it does not know where they can. Where a construction from
 * nothing is better, that is given.
 */
export function followSchedule(problem: ScheduleProblem, laid: readonly LaidTask[]): Schedule {
  const constructed = constructSchedule(problem);
  if (laid.length === 0) return pushLater(problem, constructed);
  const kept = keepPlaces(problem, laid);
  if (kept && compareCosts(kept.cost, constructed.cost) <= 0) return pushLater(problem, kept);
  const startOf = new Map(constructed.placed.map(({ taskId, startMin }) => [taskId, startMin]));
  for (const { taskId, startMin } of laid) startOf.set(taskId, startMin);
  const modeOf = new Map(laid.map(({ taskId, mode }) => [taskId, mode]));
  const place = (task: ScheduleTask) => startOf.get(task.id) ?? 0;
  const followed = laySchedule(problem, {
    rankOf: (task) => [-place(task)],
    forwardRankOf: (task) => [place(task)],
    modeOf: (task) => {
      const mode = modeOf.get(task.id);
      return mode !== undefined && mode < task.modes.length ? mode : null;
    },
  });
  return pushLater(problem, compareCosts(followed.cost, constructed.cost) <= 0 ? followed : constructed);
}

/** Above the bound by this share: of lateness while there is any, else of the working day. */
export function findGap({ cost }: Schedule, bound: ScheduleBound): number {
  if (cost.brokenMin > 0) return Infinity;
  if (cost.latenessMin > bound.latenessMin) {
    return (cost.latenessMin - bound.latenessMin) / Math.max(bound.latenessMin, 1);
  }
  return cost.dayMin > 0 ? Math.max(cost.dayMin - bound.dayMin, 0) / cost.dayMin : 0;
}

/** Record-to-record travel, after Dueck 1993: little worse than the best, in the first figure in which they differ. */
function isNear(cost: ScheduleCost, best: ScheduleCost): boolean {
  if (cost.brokenMin > best.brokenMin) return false;
  if (cost.latenessMin !== best.latenessMin) return cost.latenessMin <= allow(best.latenessMin);
  return cost.dayMin <= allow(best.dayMin);
}

/** Every task by its place in the day, and the mode each is bound to. */
interface Sequence {
  readonly ids: readonly string[];
  readonly modes: ReadonlyMap<string, number>;
}

function readOrder(
  problem: ScheduleProblem,
  schedule: Schedule,
  modes: ReadonlyMap<string, number> | null = null,
): Sequence {
  const choices = new Set(problem.tasks.flatMap((task) => (task.modes.length > 1 ? [task.id] : [])));
  return {
    ids: schedule.placed.map(({ taskId }) => taskId),
    modes:
      modes ??
      new Map(
        schedule.placed.flatMap(({ taskId, mode }) => (choices.has(taskId) ? [[taskId, mode] as const] : [])),
      ),
  };
}

/** In the mirror the last is laid first; forwards the first: one figure serves both, turned round. */
function toOrder({ ids, modes }: Sequence): Order {
  const place = new Map(ids.map((id, i) => [id, i]));
  return {
    rankOf: (task: ScheduleTask) => [-(place.get(task.id) ?? 0)],
    forwardRankOf: (task: ScheduleTask) => [place.get(task.id) ?? 0],
    modeOf: (task: ScheduleTask) => modes.get(task.id) ?? null,
  };
}

function ruin(
  problem: ScheduleProblem,
  { ids, modes }: Sequence,
  schedule: Schedule,
  random: () => number,
): Sequence {
  const pick = (count: number) => Math.floor(random() * count);
  const size = Math.min(1 + Math.floor(MOST_REMOVED * random() ** FEW_POWER), ids.length);
  const removed = new Set(choose(problem, ids, schedule, size, pick));
  const kept = ids.filter((id) => !removed.has(id));
  const back = [...kept];
  const reach = Math.max(Math.ceil(ids.length * NEAR_SHARE), 1);
  const isNear = random() < 0.5;
  for (const id of shuffle([...removed], pick)) {
    const was = ids.indexOf(id);
    const near = Math.min(Math.max(was - reach + pick(2 * reach + 1), 0), back.length);
    back.splice(isNear ? near : pick(back.length + 1), 0, id);
  }
  const turned = new Map(modes);
  for (const task of problem.tasks)
    if (task.modes.length > 1 && removed.has(task.id)) turned.set(task.id, pick(task.modes.length));
  return { ids: back, modes: turned };
}

/** Neighbours in time, those about what is late, one chain with what it waits for, or any. */
function choose(
  problem: ScheduleProblem,
  ids: readonly string[],
  { late }: Schedule,
  size: number,
  pick: (count: number) => number,
): string[] {
  const way = pick(5);
  if (way === 0) {
    const from = pick(Math.max(ids.length - size, 1));
    return ids.slice(from, from + size);
  }
  if (way === 4 && late.length > 0) {
    // Whoever is before somebody late may stand in the way.
    const at = ids.indexOf(late[pick(late.length)]?.taskId ?? "");
    return [...ids.slice(Math.max(at - pick(ids.length), 0), at + 1)]
      .slice(0, size - 1)
      .concat(ids[at] ?? []);
  }
  if (way === 1 || (way === 2 && late.length > 0)) {
    const byId = new Map(problem.tasks.map((task) => [task.id, task]));
    const chain: string[] = [];
    let id: string | undefined = way === 2 ? late[pick(late.length)]?.taskId : ids[pick(ids.length)];
    while (id !== undefined && chain.length < size) {
      chain.push(id);
      const after: ScheduleTask["after"] = byId.get(id)?.after ?? [];
      id = after[pick(Math.max(after.length, 1))]?.taskId;
    }
    return chain;
  }
  return shuffle([...ids], pick).slice(0, size);
}

function shuffle(ids: string[], pick: (count: number) => number): string[] {
  for (let i = ids.length - 1; i > 0; i--) {
    const j = pick(i + 1);
    [ids[i], ids[j]] = [ids[j] ?? "", ids[i] ?? ""];
  }
  return ids;
}
