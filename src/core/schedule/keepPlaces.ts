import { describeSchedule } from "./describeSchedule";
import { Lane } from "./lane";
import { edgeMin, type PlacedTask, type Schedule, type ScheduleProblem } from "./problem";

/** A place in a day that was kept. */
export type LaidTask = Pick<PlacedTask, "taskId" | "startMin" | "mode">;

/** The schedule with every task where it was kept; null if that is not all of them, or one cannot be there any more. */
export function keepPlaces(problem: ScheduleProblem, laid: readonly LaidTask[]): Schedule | null {
  const laidOf = new Map(laid.map((each) => [each.taskId, each]));
  const lanes = new Map(
    problem.resources.map((resource) => [resource.id, new Lane(resource, problem.openMin, false)]),
  );
  const placed = new Map<string, PlacedTask>();
  for (const task of problem.tasks) {
    const own = laidOf.get(task.id);
    const mode = own ? task.modes[own.mode] : undefined;
    if (!own || !mode) return null;
    const { startMin } = own;
    for (const { resourceId, fromMin, toMin, amount } of mode.uses) {
      const lane = lanes.get(resourceId);
      const block = [startMin + fromMin, startMin + toMin, amount, mode.heat] as const;
      if (!lane || !Number.isNaN(lane.findNextStart(...block))) return null;
      lane.add(...block);
    }
    placed.set(task.id, { ...own, endMin: startMin + mode.durationMin });
  }
  for (const { resourceId, amount, from, until } of problem.holds) {
    const [first, last, lane] = [placed.get(from.taskId), placed.get(until.taskId), lanes.get(resourceId)];
    if (!first || !last || !lane) return null;
    const block = [edgeMin(from, first), edgeMin(until, last), amount, null] as const;
    if (!Number.isNaN(lane.findNextStart(...block))) return null;
    lane.add(...block);
  }
  const tooSoon = problem.tasks.some((task) =>
    task.after.some(({ taskId, minWaitMin, from = "end" }) => {
      const before = placed.get(taskId);
      const fromMin = before ? edgeMin({ taskId, edge: from }, before) : Infinity;
      return (placed.get(task.id)?.startMin ?? 0) < fromMin + minWaitMin;
    }),
  );
  if (tooSoon) return null;
  const all = problem.tasks.flatMap(({ id }) => placed.get(id) ?? []);
  return describeSchedule(problem, {
    starts: Float64Array.from(all, ({ startMin }) => startMin),
    ends: Float64Array.from(all, ({ endMin }) => endMin),
    modes: Int32Array.from(all, ({ mode }) => mode),
    isForced: false,
  });
}
