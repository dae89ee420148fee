import { describeSchedule } from "./describeSchedule";
import { addToLaneInPlace, findNextStart, openLane } from "./lane";
import { edgeMin, type PlacedTask, type Schedule, type ScheduleProblem } from "./problem";

/** A place in a day that was kept. */
export type LaidTask = Pick<PlacedTask, "taskId" | "startMin" | "mode">;

/** The schedule with every task where it was kept; null if that is not all of them, or one cannot be there any more. */
export function keepPlaces(problem: ScheduleProblem, laid: readonly LaidTask[]): Schedule | null {
  const laidOf = new Map(laid.map((each) => [each.taskId, each]));
  const lanes = new Map(
    problem.resources.map((resource) => [resource.id, openLane(resource, problem.openMin, false)]),
  );
  const placed = new Map<string, PlacedTask>();
  for (const task of problem.tasks) {
    const own = laidOf.get(task.id);
    const mode = own ? task.modes[own.mode] : undefined;
    if (!own || !mode) return null;
    const { startMin } = own;
    for (const { resourceId, fromMin, toMin, amount } of mode.uses) {
      const lane = lanes.get(resourceId);
      const block = { startMin: startMin + fromMin, endMin: startMin + toMin, amount, heat: mode.heat };
      if (!lane || findNextStart(lane, block, false) !== null) return null;
      addToLaneInPlace(lane, block);
    }
    placed.set(task.id, { ...own, endMin: startMin + mode.durationMin });
  }
  for (const { resourceId, amount, from, until } of problem.holds) {
    const [first, last, lane] = [placed.get(from.taskId), placed.get(until.taskId), lanes.get(resourceId)];
    if (!first || !last || !lane) return null;
    const block = { startMin: edgeMin(from, first), endMin: edgeMin(until, last), amount, heat: null };
    if (findNextStart(lane, block, false) !== null) return null;
    addToLaneInPlace(lane, block);
  }
  const tooSoon = problem.tasks.some((task) =>
    task.after.some(
      ({ taskId, minWaitMin }) =>
        (placed.get(task.id)?.startMin ?? 0) < (placed.get(taskId)?.endMin ?? Infinity) + minWaitMin,
    ),
  );
  return tooSoon ? null : describeSchedule(problem, placed);
}
