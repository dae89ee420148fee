import { describeSchedule } from "./describeSchedule";
import { judge, pickBetter, type Judged } from "./judge";
import { keepPlaces, type LaidTask } from "./keepPlaces";
import { FULL_EFFORT, layForwards, laySchedule } from "./laySchedule";
import type { Order } from "./order";
import { compareCosts, type Schedule, type ScheduleProblem } from "./problem";

/**
 * A day that is under way, laid again with the least change. Where every task can be where it was meant to be, there it
 * is. Else each goes later as far as it must, in the order and on the machine it had last; only where that breaks a wait
 * or makes something late that need not be, others are sought.
 * @param meant - Where each was meant to be: it comes no sooner for nothing. A task it does not name goes where it can.
 * @param laid - Where each was laid last.
 */
export function shiftSchedule(
  problem: ScheduleProblem,
  meant: readonly LaidTask[],
  laid: readonly LaidTask[],
): Schedule {
  const kept = keepPlaces(problem, meant);
  const stays = kept && judge(problem, kept);
  if (stays && stays.cost.brokenMin === 0 && stays.cost.latenessMin === 0)
    return describeSchedule(problem, stays.placing);
  const shifted = shiftLater(problem, meant, laid);
  const best = stays && compareCosts(stays.cost, shifted.cost) <= 0 ? stays : shifted;
  if (best.cost.brokenMin === 0 && best.cost.latenessMin === 0)
    return describeSchedule(problem, best.placing);
  // A change that gains nothing is none.
  // The order that was meant is one of them: what was told meanwhile, and taken back, does not lead away from it.
  const sought = [orderOf(problem, laid), orderOf(problem, meant)].reduce(
    (found, order) => pickBetter(found, laySchedule(problem, order)),
    laySchedule(problem),
  );
  const isGain =
    sought.cost.brokenMin < best.cost.brokenMin ||
    (sought.cost.brokenMin === best.cost.brokenMin && sought.cost.latenessMin < best.cost.latenessMin);
  return describeSchedule(problem, (isGain ? sought : best).placing);
}

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
