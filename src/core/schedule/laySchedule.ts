import { describeSchedule } from "./describeSchedule";
import { layRigid } from "./layRigid";
import { placeTasks, type PlacingRules } from "./placeTasks";
import {
  compareCosts,
  type PlacedTask,
  type Schedule,
  type ScheduleProblem,
  type ScheduleTask,
  type TaskEdge,
} from "./problem";

/** In which order and which way tasks are laid. */
export interface Order {
  /** In the mirror, where the day's last comes first: lower is later in the day. */
  readonly rankOf: (task: ScheduleTask, earliestMin: number) => readonly number[];
  /** Lower is earlier in the day; null to keep the order that the mirror gave. */
  readonly forwardRankOf: ((task: ScheduleTask) => readonly number[]) | null;
  readonly modeOf: (task: ScheduleTask) => number | null;
}

/** How much trouble is taken over one order: all of it, or as little as a search can afford. */
export interface Effort {
  readonly mendingRounds: number;
  /** Lay rigid chains where a wait stays too long. */
  readonly mayBeRigid: boolean;
  /** What comes out later than this, weighted, is not pulled together: it will not be taken. */
  readonly mostLateMin: number;
}

/**
 * How often a schedule is laid again to mend waits that came out too long. Each round shifts the tasks at
 * fault by what they are over; real days settle in a few.
 */
export const FULL_EFFORT: Effort = { mendingRounds: 12, mayBeRigid: true, mostLateMin: Infinity };

/**
 * One order made into a schedule: backwards from what was promised, each task as late as it may be; where that would
 * begin before the day opens, forwards from the opening, and then pushed to the right again as long as nothing comes
 * late by it (double justification, after Valls, Ballestín and Quintanilla 2005). What waits too long in all of these is
 * laid in rigid chains, which always keep their waits.
 */
export function laySchedule(problem: ScheduleProblem, order: Order, effort: Effort = FULL_EFFORT): Schedule {
  const backwards = layBackwards(problem, order, effort);
  if (backwards.cost.brokenMin === 0 && backwards.cost.latenessMin === 0) return backwards;
  const forwards = layForwards(
    problem,
    { ...order, forwardRankOf: order.forwardRankOf ?? rankByStart(backwards) },
    effort,
  );
  if (forwards.cost.brokenMin === 0 && forwards.cost.latenessMin > effort.mostLateMin)
    return pickBetter(backwards, forwards);
  // What is late stays so late and no later; the rest is pushed to the right, the last first.
  const pushed = layBackwards(
    withDues(problem, forwards),
    { ...order, rankOf: rankByEnd(forwards), modeOf: modesOf(forwards, order) },
    effort,
  );
  const described = describeSchedule(problem, toMap(pushed));
  const best = [backwards, described, forwards].reduce(pickBetter);
  return best.cost.brokenMin === 0 || !effort.mayBeRigid ? best : pickBetter(best, layRigid(problem, order));
}

const pickBetter = (one: Schedule, other: Schedule) => (compareCosts(other.cost, one.cost) < 0 ? other : one);
const toMap = ({ placed }: Schedule) => new Map(placed.map((each) => [each.taskId, each]));

/** Every task that is late is due when it ends. */
function withDues(problem: ScheduleProblem, { placed, late }: Schedule): ScheduleProblem {
  const endOf = new Map(placed.map(({ taskId, endMin }) => [taskId, endMin]));
  const lateIds = new Set(late.map(({ taskId }) => taskId));
  return {
    ...problem,
    tasks: problem.tasks.map((task) =>
      lateIds.has(task.id) ? { ...task, dueMin: endOf.get(task.id) ?? task.dueMin } : task,
    ),
  };
}

function rankByStart({ placed }: Schedule): NonNullable<Order["forwardRankOf"]> {
  const startOf = new Map(placed.map(({ taskId, startMin }) => [taskId, startMin]));
  return (task) => [startOf.get(task.id) ?? 0];
}

/** In the mirror, where what ends last is laid first. */
function rankByEnd({ placed }: Schedule): Order["rankOf"] {
  const endOf = new Map(placed.map(({ taskId, endMin }) => [taskId, endMin]));
  return (task) => [-(endOf.get(task.id) ?? 0)];
}

function modesOf({ placed }: Schedule, order: Order): Order["modeOf"] {
  const modeOf = new Map(placed.map(({ taskId, mode }) => [taskId, mode]));
  return (task) => modeOf.get(task.id) ?? order.modeOf(task);
}

function layForwards(problem: ScheduleProblem, { forwardRankOf, modeOf }: Order, effort: Effort): Schedule {
  return layAndMend(problem, effort, (releases) => ({
    releaseMin: (task) =>
      task.pinnedMin ??
      Math.max(releases.get(task.id) ?? problem.openMin, task.releaseMin ?? problem.openMin),
    // A pinned task takes its place before anyone else can.
    rank: (task, earliestMin) => [
      task.pinnedMin === null ? 1 : 0,
      ...(forwardRankOf?.(task) ?? []),
      earliestMin,
    ],
    modeOf,
    coldUntilMin: problem.openMin,
    mirrored: false,
  }));
}

/** Every task as late as its promise and its followers allow. `rankOf` orders the mirror: lower is later in the day. */
function layBackwards(problem: ScheduleProblem, { rankOf, modeOf }: Order, effort: Effort): Schedule {
  // Of equals the one listed last goes first, so that the day reads in the order in which it was listed.
  const position = new Map(problem.tasks.map(({ id }, i) => [id, i]));
  const byId = new Map(problem.tasks.map((task) => [task.id, task]));
  const dues = problem.tasks.flatMap(({ dueMin }) => (dueMin === null ? [] : [dueMin]));
  const anyDueMin = dues.length > 0 ? Math.max(...dues) : problem.openMin + sumDurations(problem);
  return layAndMend(
    mirrorOf(problem),
    effort,
    (releases) => ({
      releaseMin: (task) => {
        const real = byId.get(task.id) ?? task;
        if (task.pinnedMin !== null) return task.pinnedMin;
        // Promised by d, so in the mirror not before −d.
        return Math.max(releases.get(task.id) ?? -Infinity, -(real.dueMin ?? anyDueMin));
      },
      rank: (task, earliestMin) => [
        task.pinnedMin === null ? 1 : 0,
        ...rankOf(task, earliestMin),
        -(position.get(task.id) ?? 0),
      ],
      modeOf,
      coldUntilMin: null,
      mirrored: true,
    }),
    problem,
  );
}

const sumDurations = ({ tasks }: ScheduleProblem) =>
  tasks.reduce(
    (sum, { modes, after }) =>
      sum + (modes[0]?.durationMin ?? 0) + Math.max(0, ...after.map(({ minWaitMin }) => minWaitMin)),
    0,
  );

/** Lays the tasks, shifts what waits too long, and lays them again, keeping the schedule that breaks least. */
function layAndMend(
  laid: ScheduleProblem,
  { mendingRounds }: Effort,
  rulesFor: (releases: ReadonlyMap<string, number>) => PlacingRules,
  real: ScheduleProblem | null = null,
): Schedule {
  const releases = new Map<string, number>();
  let best: Schedule | null = null;
  for (let round = 0; round < mendingRounds; round++) {
    const placed = placeTasks(laid, rulesFor(releases));
    const schedule = real ? describeSchedule(real, flip(placed)) : describeSchedule(laid, placed);
    best = best ? pickBetter(best, schedule) : schedule;
    if (schedule.brokenWaits.length === 0) break;
    // In the frame being laid, the task placed first of a pair is the one that can move towards the other.
    for (const { taskId, afterTaskId, overMin } of schedule.brokenWaits) {
      const mover = real ? taskId : afterTaskId;
      releases.set(mover, (placed.get(mover)?.startMin ?? 0) + overMin);
    }
  }
  if (!best) throw new RangeError("layAndMend: no round was laid");
  return best;
}

/** A search lays one problem thousands of times: its mirror is made once. */
const mirrors = new WeakMap<ScheduleProblem, ScheduleProblem>();
function mirrorOf(problem: ScheduleProblem): ScheduleProblem {
  const known = mirrors.get(problem);
  if (known) return known;
  const made = mirrorProblem(problem);
  mirrors.set(problem, made);
  return made;
}

/** The same problem with time running backwards. Ends become starts: a pin is where the task ends. */
function mirrorProblem(problem: ScheduleProblem): ScheduleProblem {
  const followers = new Map<string, { taskId: string; minWaitMin: number; maxWaitMin: number | null }[]>();
  for (const task of problem.tasks) {
    for (const { taskId, minWaitMin, maxWaitMin } of task.after) {
      followers.set(taskId, [...(followers.get(taskId) ?? []), { taskId: task.id, minWaitMin, maxWaitMin }]);
    }
  }
  const tasks = problem.tasks.map((task): ScheduleTask => ({
    ...task,
    after: followers.get(task.id) ?? [],
    modes: task.modes.map((mode) => ({
      ...mode,
      uses: mode.uses.map((use) => ({
        ...use,
        fromMin: mode.durationMin - use.toMin,
        toMin: mode.durationMin - use.fromMin,
      })),
    })),
    pinnedMin: task.pinnedMin === null ? null : -(task.pinnedMin + (task.modes[0]?.durationMin ?? 0)),
  }));
  const turn = ({ taskId, edge }: TaskEdge): TaskEdge => ({
    taskId,
    edge: edge === "start" ? "end" : "start",
  });
  const holds = problem.holds.map((hold) => ({ ...hold, from: turn(hold.until), until: turn(hold.from) }));
  return { ...problem, tasks, holds };
}

function flip(placed: ReadonlyMap<string, PlacedTask>): Map<string, PlacedTask> {
  return new Map(
    [...placed].map(([id, task]) => [id, { ...task, startMin: -task.endMin, endMin: -task.startMin }]),
  );
}
