import { describeSchedule } from "./describeSchedule";
import { framesOf } from "./frame";
import { judge, type Judged } from "./judge";
import { keepPlaces, type LaidTask } from "./keepPlaces";
import { laySchedule, type Effort } from "./laySchedule";
import { boundSchedule, type ScheduleBound } from "./lowerBound";
import type { Order } from "./order";
import type { Placing } from "./placeTasks";
import { createRandom } from "../seededRandom";
import { compareCosts, type Schedule, type ScheduleCost, type ScheduleProblem } from "./problem";
import { pushLater } from "./pushLater";

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
/** Of the tries without lateness, so many are laid from the opening too: it takes as long again. */
const FORWARDS_SHARE = 0.3;
const SEARCH_EFFORT: Omit<Effort, "mostLateMin" | "forwardsToo"> = {
  mendingRounds: 4,
  pressings: 1,
  mayBeRigid: false,
};
/** A try worse than the best by no more than this share, or these minutes, is gone on from: it leads out of dead ends. */
const WORSE_SHARE = 0.03;
const WORSE_MIN = 5;
/** Chance that any other try is gone on from. */
const WORSE_CHANCE = 0.02;
const allow = (bestMin: number): number => bestMin + Math.max(bestMin * WORSE_SHARE, WORSE_MIN);
/** A try without any gain for so long goes back to the best. */
const PATIENCE = 120;

/** A day of so few tasks is searched a little as it is constructed: a try takes a fraction of a millisecond. */
const SMALL_TASKS = 16;
const SMALL_TRIES = 40;
const SMALL_SEED = 1;

/** A day laid from nothing: for a small one the best of some tries, the same ones every time. */
export function constructPlacing(problem: ScheduleProblem): Judged {
  const laid = laySchedule(problem);
  if (problem.tasks.length > SMALL_TASKS) return laid;
  const { schedule } = improveSchedule(
    problem,
    { random: createRandom(SMALL_SEED), isOver: (tries) => tries >= SMALL_TRIES },
    describeSchedule(problem, laid.placing),
  );
  return judge(problem, toPlacing(problem, schedule));
}

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
  let best = begin ? judge(problem, toPlacing(problem, begin)) : laySchedule(problem);
  let schedule = begin ?? describeSchedule(problem, best.placing);
  let tries = 0;
  const report = () => ({ schedule, bound, gap: findGap(schedule, bound), tries });
  yield report();
  if (problem.tasks.length < 2) return report();
  const choices = problem.tasks.flatMap(({ modes }, i) => (modes.length > 1 ? [i] : []));
  let current = readOrder(best.placing, choices);
  let currentCost = best.cost;
  let late = listLate(problem, best.placing);
  let stale = 0;
  while (findGap(best, bound) > 0) {
    tries++;
    const next = ruin(problem, current, late, random);
    const laid = laySchedule(problem, toOrder(next), {
      ...SEARCH_EFFORT,
      forwardsToo: random() < FORWARDS_SHARE,
      mostLateMin: Math.max(currentCost.latenessMin, allow(best.cost.latenessMin)),
    });
    const isTaken = isNear(laid.cost, best.cost) || compareCosts(laid.cost, currentCost) <= 0;
    const go = (from: Judged, modes: Int32Array | null) => {
      current = readOrder(from.placing, choices, modes);
      currentCost = from.cost;
      late = listLate(problem, from.placing);
    };
    if (isTaken || random() < WORSE_CHANCE) go(laid, next.modes);
    if (compareCosts(laid.cost, best.cost) < 0) {
      best = laid;
      schedule = describeSchedule(problem, best.placing);
      stale = 0;
    } else if (++stale > PATIENCE) {
      stale = 0;
      go(best, null);
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
  return describeSchedule(problem, pushLater(problem, findFollowing(problem, laid)).placing);
}

function findFollowing(problem: ScheduleProblem, laid: readonly LaidTask[]): Judged {
  const constructed = constructPlacing(problem);
  if (laid.length === 0) return constructed;
  const places = keepPlaces(problem, laid);
  const kept = places && judge(problem, places);
  if (kept && compareCosts(kept.cost, constructed.cost) <= 0) return kept;
  const startOf = new Map(laid.map(({ taskId, startMin }) => [taskId, startMin]));
  const modeOf = new Map(laid.map(({ taskId, mode }) => [taskId, mode]));
  const followed = laySchedule(problem, {
    rank: Float64Array.from(problem.tasks, ({ id }, i) => startOf.get(id) ?? constructed.placing.starts[i]!),
    modes: Int32Array.from(problem.tasks, ({ id, modes }) => {
      const mode = modeOf.get(id) ?? -1;
      return mode < modes.length ? mode : -1;
    }),
  });
  return compareCosts(followed.cost, constructed.cost) <= 0 ? followed : constructed;
}

/** Above the bound by this share: of lateness while there is any, else of the working day. */
export function findGap({ cost }: Pick<Schedule, "cost">, bound: ScheduleBound): number {
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

/** Every task in the order of the day, and the way each is bound to: −1 where it is free. */
interface Sequence {
  readonly order: Int32Array;
  readonly modes: Int32Array;
}

function toPlacing({ tasks }: ScheduleProblem, { placed }: Schedule): Placing {
  const byId = new Map(placed.map((each) => [each.taskId, each]));
  return {
    starts: Float64Array.from(tasks, ({ id }) => byId.get(id)?.startMin ?? NaN),
    ends: Float64Array.from(tasks, ({ id }) => byId.get(id)?.endMin ?? NaN),
    modes: Int32Array.from(tasks, ({ id }) => byId.get(id)?.mode ?? 0),
    isForced: true,
  };
}

/** @param choices - Tasks with several ways. @param modes - The ways they were bound to; null for those they took. */
function readOrder(
  { starts, ends, modes: taken }: Placing,
  choices: readonly number[],
  modes: Int32Array | null = null,
): Sequence {
  const order = Int32Array.from(starts.keys()).sort((a, b) => starts[a]! - starts[b]! || ends[a]! - ends[b]!);
  if (modes) return { order, modes };
  const bound = new Int32Array(starts.length).fill(-1);
  for (const task of choices) bound[task] = taken[task]!;
  return { order, modes: bound };
}

const listLate = ({ tasks }: ScheduleProblem, { ends }: Placing): number[] =>
  tasks.flatMap(({ dueMin }, i) => (dueMin !== null && ends[i]! > dueMin ? [i] : []));

function toOrder({ order, modes }: Sequence): Order {
  const rank = new Float64Array(order.length);
  order.forEach((task, place) => {
    rank[task] = place;
  });
  return { rank, modes };
}

function ruin(
  problem: ScheduleProblem,
  { order, modes }: Sequence,
  late: readonly number[],
  random: () => number,
): Sequence {
  const pick = (count: number) => Math.floor(random() * count);
  const size = Math.min(1 + Math.floor(MOST_REMOVED * random() ** FEW_POWER), order.length);
  const removed = new Set(choose(problem, order, late, size, pick));
  const back = Array.from(order).filter((task) => !removed.has(task));
  const reach = Math.max(Math.ceil(order.length * NEAR_SHARE), 1);
  const isNear = random() < 0.5;
  for (const task of shuffle([...removed], pick)) {
    const was = order.indexOf(task);
    const near = Math.min(Math.max(was - reach + pick(2 * reach + 1), 0), back.length);
    back.splice(isNear ? near : pick(back.length + 1), 0, task);
  }
  const turned = modes.slice();
  for (const task of removed) {
    const ways = problem.tasks[task]!.modes.length;
    if (ways > 1) turned[task] = pick(ways);
  }
  return { order: Int32Array.from(back), modes: turned };
}

/** Neighbours in time, those about what is late, one chain with what it waits for, or any. */
function choose(
  problem: ScheduleProblem,
  order: Int32Array,
  late: readonly number[],
  size: number,
  pick: (count: number) => number,
): number[] {
  const way = pick(5);
  if (way === 0) {
    const from = pick(Math.max(order.length - size, 1));
    return Array.from(order.subarray(from, from + size));
  }
  if (way === 4 && late.length > 0) {
    // Whoever is before somebody late may stand in the way.
    const last = late[pick(late.length)]!;
    const at = order.indexOf(last);
    return [...order.subarray(Math.max(at - pick(order.length), 0), at + 1)].slice(0, size - 1).concat(last);
  }
  if (way === 1 || (way === 2 && late.length > 0)) {
    const { waits } = framesOf(problem).real;
    const chain: number[] = [];
    let task: number | undefined = way === 2 ? late[pick(late.length)] : order[pick(order.length)];
    while (task !== undefined && chain.length < size) {
      chain.push(task);
      const before: (typeof waits)[number] = waits[task] ?? [];
      task = before[pick(Math.max(before.length, 1))]?.task;
    }
    return chain;
  }
  return shuffle(Array.from(order), pick).slice(0, size);
}

function shuffle(tasks: number[], pick: (count: number) => number): number[] {
  for (let i = tasks.length - 1; i > 0; i--) {
    const j = pick(i + 1);
    [tasks[i], tasks[j]] = [tasks[j]!, tasks[i]!];
  }
  return tasks;
}
