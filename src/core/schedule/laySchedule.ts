import { framesOf, type Frame } from "./frame";
import { judge, pickBetter, type Judged } from "./judge";
import { layRigid } from "./layRigid";
import { FREE_ORDER, type Order } from "./order";
import { placeTasks, shortestMin, type Placing, type PlacingRules } from "./placeTasks";
import type { ScheduleProblem } from "./problem";
import { pushLater } from "./pushLater";

/** How much trouble is taken over one order: all of it, or as little as a search can afford. */
export interface Effort {
  readonly mendingRounds: number;
  /** How often a day is pressed to the left and to the right again, as long as it gets better. */
  readonly pressings: number;
  /** Lay rigid chains where a wait stays too long. */
  readonly mayBeRigid: boolean;
  /** Lay the order from the opening too where nothing is late: it keeps who comes first where a promise leaves that open. */
  readonly forwardsToo: boolean;
  /** What comes out later than this, weighted, is not pulled together: it will not be taken. */
  readonly mostLateMin: number;
}

/**
 * How often a schedule is laid again to mend waits that came out too long. Each round shifts the tasks at
 * fault by what they are over; real days settle in a few.
 */
export const FULL_EFFORT: Effort = {
  mendingRounds: 12,
  pressings: 8,
  mayBeRigid: true,
  forwardsToo: false,
  mostLateMin: Infinity,
};

/**
 * One order made into a schedule: backwards from what was promised, each task as late as it may be; where that would
 * begin before the day opens, forwards from the opening. What comes of it is pressed to the left and to the right
 * again as long as the day gets shorter by it (forward-backward improvement, after Valls, Ballestín and Quintanilla 2005).
 * What waits too long in all of these is laid in rigid chains, which always keep their waits.
 */
export function laySchedule(
  problem: ScheduleProblem,
  order: Order = FREE_ORDER,
  effort: Effort = FULL_EFFORT,
): Judged {
  const backwards = layBackwards(problem, order, effort, null);
  let best = backwards;
  if (backwards.cost.brokenMin > 0 || backwards.cost.latenessMin > 0) {
    const rank = order.rank ?? backwards.placing.starts;
    const forwards = layForwards(problem, { ...order, rank }, effort, null);
    best = pickBetter(backwards, forwards);
    if (forwards.cost.brokenMin === 0 && forwards.cost.latenessMin > effort.mostLateMin) return best;
    // What is late stays so late and no later; the rest is pushed to the right, the last first.
    best = pickBetter(pressRight(problem, forwards, effort, false), best);
  } else if (effort.forwardsToo) {
    const rank = order.rank ?? backwards.placing.starts;
    const forwards = layForwards(problem, { ...order, rank }, effort, null);
    best = pickBetter(backwards, pressRight(problem, forwards, effort, true));
  }
  if (effort.pressings > 0) best = pushLater(problem, best);
  // Nobody gets up sooner for a shorter day: it is pressed between its first minute and its last.
  const beginsMin = findFirstMin(best.placing);
  for (let i = 0; i < effort.pressings && best.cost.brokenMin === 0; i++) {
    const left = pressLeft(problem, best, effort);
    const right = pressRight(problem, left, effort, true);
    const isLater = findFirstMin(right.placing) >= beginsMin;
    const pressed = pickBetter(best, isLater ? pickBetter(left, right) : left);
    if (pressed === best) break;
    best = pressed;
  }
  return best.cost.brokenMin === 0 || !effort.mayBeRigid ? best : pickBetter(best, layRigid(problem, order));
}

const nameOf =
  ({ tasks }: ScheduleProblem) =>
  (task: number): string =>
    tasks[task]?.id ?? "";

/** Every task as early as its waits allow from the first minute of the day on, in the order in which they stand. */
function pressLeft(problem: ScheduleProblem, { placing }: Judged, effort: Effort): Judged {
  const { starts: rank, modes } = placing;
  return layForwards(problem, { rank, modes }, effort, findFirstMin(placing));
}

function findFirstMin({ starts }: Placing): number {
  let firstMin = Infinity;
  for (const start of starts) if (start < firstMin) firstMin = start;
  return firstMin;
}

/**
 * Every task as late as its followers allow, the last first: what is late stays so late and no later.
 * @param keepsEnd - Nothing ends after the last of this day.
 */
function pressRight(
  problem: ScheduleProblem,
  { placing }: Judged,
  effort: Effort,
  keepsEnd: boolean,
): Judged {
  const { ends, modes } = placing;
  let lastMin = -Infinity;
  for (const end of ends) if (end > lastMin) lastMin = end;
  const dues = Float64Array.from(problem.tasks, ({ dueMin }, i) => {
    const promised = dueMin === null ? Infinity : Math.max(dueMin, ends[i]!);
    return keepsEnd ? Math.min(promised, lastMin) : promised;
  });
  // What ends last is laid first.
  return layBackwards(problem, { rank: ends, modes }, effort, dues);
}

const zeros = new WeakMap<ScheduleProblem, Float64Array>();
function zerosFor(problem: ScheduleProblem): Float64Array {
  const found = zeros.get(problem) ?? new Float64Array(problem.tasks.length);
  zeros.set(problem, found);
  return found;
}

/** In an order, everything as early as it can be. @param fromMin - Nothing before this minute; null for the opening. */
export function layForwards(
  problem: ScheduleProblem,
  { rank, modes }: Order,
  effort: Effort,
  fromMin: number | null,
): Judged {
  const { real } = framesOf(problem);
  const beginMin = Math.max(problem.openMin, fromMin ?? problem.openMin);
  const releaseMin = Float64Array.from(
    problem.tasks,
    (task) => task.pinnedMin ?? Math.max(beginMin, task.releaseMin ?? problem.openMin),
  );
  const rules = { releaseMin, rank, tieRank: zerosFor(problem), modes, coldUntilMin: problem.openMin };
  return layAndMend(problem, real, rules, effort);
}

/**
 * Every task as late as its promise and its followers allow.
 * @param dues - Latest ends by task, Infinity where there is none; null for what was promised.
 */
function layBackwards(
  problem: ScheduleProblem,
  { rank, modes }: Order,
  effort: Effort,
  dues: Float64Array | null,
): Judged {
  const { mirror } = framesOf(problem);
  let lastDueMin = -Infinity;
  for (const { dueMin } of problem.tasks) if (dueMin !== null && dueMin > lastDueMin) lastDueMin = dueMin;
  const anyDueMin = lastDueMin > -Infinity ? lastDueMin : problem.openMin + sumDurations(problem);
  const releaseMin = Float64Array.from(problem.tasks, ({ dueMin }, i) => {
    const pinned = mirror.pinnedMin[i]!;
    if (!Number.isNaN(pinned)) return pinned;
    const due = dues ? dues[i]! : (dueMin ?? Infinity);
    // Promised by d, so in the mirror not before −d.
    return -(due === Infinity ? anyDueMin : due);
  });
  const rules = {
    releaseMin,
    rank: rank && rank.map((place) => -place),
    // Of those that could end as late, the one with the longest chain of work and waits behind it goes first.
    tieRank: leadsOf(problem),
    modes,
    coldUntilMin: null,
  };
  return layAndMend(problem, mirror, rules, effort);
}

const sumDurations = ({ tasks }: ScheduleProblem) =>
  tasks.reduce(
    (sum, { modes, after }) =>
      sum + (modes[0]?.durationMin ?? 0) + Math.max(0, ...after.map(({ minWaitMin }) => minWaitMin)),
    0,
  );

/** Minutes that must pass before each task can end, below 0: the longest chain of work and waits that leads to it. */
const leads = new WeakMap<ScheduleProblem, Float64Array>();
function leadsOf(problem: ScheduleProblem): Float64Array {
  const known = leads.get(problem);
  if (known) return known;
  const { real } = framesOf(problem);
  const made = Float64Array.from(real.modes, (modes) => -shortestMin(modes));
  // Each after all it waits for; what waits in a circle stays as it is: the placing tells it.
  const waitingFor = Int32Array.from(real.waits, (list) => list.length);
  const next = Array.from(waitingFor.keys()).filter((task) => waitingFor[task] === 0);
  for (let task = next.pop(); task !== undefined; task = next.pop()) {
    let longest = 0;
    for (const { task: before, minWaitMin, fromStart } of real.waits[task]!) {
      const fromMin = -made[before]! - (fromStart ? shortestMin(real.modes[before]!) : 0);
      longest = Math.max(longest, fromMin + minWaitMin);
    }
    made[task] = made[task]! - longest;
    for (const follower of real.followers[task]!) if (--waitingFor[follower]! === 0) next.push(follower);
  }
  leads.set(problem, made);
  return made;
}

/** Lays the tasks, shifts what waits too long, and lays them again, keeping the schedule that breaks least. */
function layAndMend(
  problem: ScheduleProblem,
  frame: Frame,
  rules: PlacingRules,
  { mendingRounds }: Effort,
): Judged {
  const releaseMin = rules.releaseMin.slice();
  let best: Judged | null = null;
  for (let round = 0; round < mendingRounds; round++) {
    const placed = placeTasks(frame, { ...rules, releaseMin }, nameOf(problem));
    const judged = judge(problem, frame.isMirrored ? flip(placed) : placed);
    best = best ? pickBetter(best, judged) : judged;
    if (judged.broken.length === 0) break;
    // In the frame being laid, the task placed first of a pair is the one that can move towards the other.
    for (const { task, before, overMin } of judged.broken) {
      const mover = frame.isMirrored ? task : before;
      if (!Number.isNaN(frame.pinnedMin[mover]!)) continue;
      releaseMin[mover] = Math.max(rules.releaseMin[mover]!, placed.starts[mover]! + overMin);
    }
  }
  if (!best) throw new RangeError("layAndMend: no round was laid");
  return best;
}

/** From the mirror into real time. */
const flip = ({ starts, ends, modes, isForced }: Placing): Placing => ({
  starts: ends.map((end) => -end),
  ends: starts.map((start) => -start),
  modes,
  isForced,
});
