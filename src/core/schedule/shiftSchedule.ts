import { describeSchedule } from "./describeSchedule";
import { judge, pickBetter, type Judged } from "./judge";
import { keepPlaces, type LaidTask } from "./keepPlaces";
import { FULL_EFFORT, layForwards, laySchedule, type Effort } from "./laySchedule";
import { FREE_ORDER, type Order } from "./order";
import { compareCosts, type Schedule, type ScheduleCost, type ScheduleProblem } from "./problem";

/** For a wait that would be broken. */
const MENDING_EFFORT: Effort = { ...FULL_EFFORT, mendingRounds: 6, pressings: 0, mostLateMin: -1 };
const NOTHING = { latenessMin: 0, brokenMin: 0 };
/** A day under way is answered while a hand waits: what is laid from now on is mended a little. */
const SEEKING_EFFORT: Effort = { ...FULL_EFFORT, mendingRounds: 4 };
/** What is laid back from its promises less, and not pressed: it costs the most and finds the least. */
const PROMISES_EFFORT: Effort = { ...FULL_EFFORT, mendingRounds: 2, mayBeRigid: false, mostLateMin: -1 };

/**
 * A day that is under way, laid again with the least change. Where every task can be where it was meant to be, there it
 * is. Else each goes later as far as it must, in the order and on the machine it had last; only where that breaks a wait
 * or makes something late that need not be, others are sought.
 * @param meant - Where each was meant to be: it comes no sooner for nothing. A task it does not name goes where it can.
 * @param laid - Where each was laid last.
 * @param tolerated - What is late and broken already, all together: for no more than this nothing else is sought.
 */
export function shiftSchedule(
  problem: ScheduleProblem,
  meant: readonly LaidTask[],
  laid: readonly LaidTask[],
  tolerated: Pick<ScheduleCost, "latenessMin" | "brokenMin"> = NOTHING,
): Schedule {
  const kept = keepPlaces(problem, meant);
  const stays = kept && judge(problem, kept);
  if (stays && stays.cost.brokenMin === 0 && stays.cost.latenessMin === 0)
    return describeSchedule(problem, stays.placing);
  const shifted = shiftLater(problem, meant, laid);
  const best = stays && compareCosts(stays.cost, shifted.cost) <= 0 ? stays : shifted;
  if (best.cost.brokenMin <= tolerated.brokenMin && best.cost.latenessMin <= tolerated.latenessMin)
    return describeSchedule(problem, best.placing);
  // A change that gains nothing is none. The order that was meant is one of them: what was told meanwhile, and taken
  // back, does not lead away from it.
  const inOrder = (order: Order) => layForwards(problem, order, SEEKING_EFFORT, null);
  const sought = [inOrder(orderOf(problem, meant)), laySchedule(problem, FREE_ORDER, PROMISES_EFFORT)].reduce(
    pickBetter,
    inOrder(orderOf(problem, laid)),
  );
  let gained = pickGain(best, sought);
  // A wait that would be broken is worth all there is, one order after the other.
  for (const order of [orderOf(problem, laid), FREE_ORDER, orderOf(problem, meant)]) {
    if (gained.cost.brokenMin <= tolerated.brokenMin) break;
    gained = pickGain(gained, laySchedule(problem, order, MENDING_EFFORT));
  }
  return describeSchedule(problem, gained.placing);
}

/** What breaks less or is less late. A shorter day is no gain: it only moves what could stay. */
const pickGain = (one: Judged, other: Judged): Judged =>
  other.cost.brokenMin < one.cost.brokenMin ||
  (other.cost.brokenMin === one.cost.brokenMin && other.cost.latenessMin < one.cost.latenessMin)
    ? other
    : one;

/** Nothing sooner than it was meant or laid, everything as soon as it can be from then on. */
function shiftLater(problem: ScheduleProblem, meant: readonly LaidTask[], laid: readonly LaidTask[]): Judged {
  const startOf = new Map(meant.map(({ taskId, startMin }) => [taskId, startMin]));
  for (const { taskId, startMin } of laid)
    startOf.set(taskId, Math.min(startOf.get(taskId) ?? startMin, startMin));
  const held: ScheduleProblem = {
    ...problem,
    tasks: problem.tasks.map((task) => {
      const startMin = startOf.get(task.id);
      if (startMin === undefined || task.pinnedMin !== null) return task;
      return { ...task, releaseMin: Math.max(task.releaseMin ?? problem.openMin, startMin) };
    }),
  };
  const { placing } = layForwards(held, orderOf(held, laid), FULL_EFFORT, null);
  return judge(problem, placing);
}

function orderOf({ tasks }: ScheduleProblem, laid: readonly LaidTask[]): Order {
  const laidOf = new Map(laid.map((each) => [each.taskId, each]));
  return {
    rank: Float64Array.from(tasks, ({ id, pinnedMin }) => laidOf.get(id)?.startMin ?? pinnedMin ?? Infinity),
    modes: Int32Array.from(tasks, ({ id, modes }) => {
      const mode = laidOf.get(id)?.mode ?? -1;
      return mode < modes.length ? mode : -1;
    }),
  };
}
