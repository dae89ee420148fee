import type { Placing } from "./placeTasks";
import {
  compareCosts,
  computeChangeoverMin,
  edgeMin,
  listPromises,
  type HeaterStart,
  type Overfull,
  type PlacedTask,
  type ScheduleCost,
  type ScheduleProblem,
  type TaskHeat,
} from "./problem";
import { EVEN } from "./lane";

/** A longest wait that came out too long, by the places of its two tasks. */
export interface BrokenPair {
  readonly task: number;
  readonly before: number;
  readonly overMin: number;
}

/** A placing and what it costs. */
export interface Judged {
  readonly placing: Placing;
  readonly cost: ScheduleCost;
  readonly broken: readonly BrokenPair[];
}

/** What judging reads of a problem, read once: a search judges one problem thousands of times. */
interface Figures {
  readonly dueMin: Float64Array;
  /** 0 for the last tasks of a promise that has several. */
  readonly weight: Float64Array;
  /** The last tasks of each promise that has several. */
  readonly promises: readonly { readonly tasks: readonly number[]; readonly weights: readonly number[] }[];
  readonly earliestMin: Float64Array;
  readonly pinnedMin: Float64Array;
  readonly longest: readonly {
    readonly task: number;
    readonly before: number;
    readonly fromStart: boolean;
    readonly maxWaitMin: number;
  }[];
  /** By task and mode: from its start to the first and the last of its hands' minutes; NaN without hands. */
  readonly handsFrom: readonly Float64Array[];
  readonly handsTo: readonly Float64Array[];
  /** By heater: the tasks that may be in it, each with its uses. */
  readonly heaters: readonly {
    readonly resource: ScheduleProblem["resources"][number];
    readonly loads: readonly {
      readonly task: number;
      readonly mode: number;
      readonly fromMin: number;
      readonly toMin: number;
      readonly heat: TaskHeat | null;
    }[];
  }[];
}

const known = new WeakMap<ScheduleProblem, Figures>();

function figuresOf(problem: ScheduleProblem): Figures {
  const found = known.get(problem);
  if (found) return found;
  const made = readFigures(problem);
  known.set(problem, made);
  return made;
}

function readFigures({ tasks, resources, openMin }: ScheduleProblem): Figures {
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  const hands = new Set(resources.flatMap(({ id, isHands }) => (isHands ? [id] : [])));
  const handsAt = (pick: (minutes: number[]) => number, edge: "fromMin" | "toMin") =>
    tasks.map(({ modes }) =>
      Float64Array.from(modes, ({ uses }) => {
        const minutes = uses.flatMap((use) => (hands.has(use.resourceId) ? [use[edge]] : []));
        return minutes.length > 0 ? pick(minutes) : NaN;
      }),
    );
  const shared = listPromises(tasks).filter(({ length }) => length > 1);
  const sharing = new Set(shared.flat());
  return {
    dueMin: Float64Array.from(tasks, ({ dueMin }) => dueMin ?? Infinity),
    weight: Float64Array.from(tasks, (task, i) => (sharing.has(i) ? 0 : task.weight)),
    promises: shared.map((of) => ({ tasks: of, weights: of.map((task) => tasks[task]!.weight) })),
    earliestMin: Float64Array.from(tasks, ({ releaseMin }) => Math.max(releaseMin ?? openMin, openMin)),
    pinnedMin: Float64Array.from(tasks, ({ pinnedMin }) => pinnedMin ?? NaN),
    longest: tasks.flatMap(({ after }, task) =>
      after.flatMap(({ taskId, from, maxWaitMin }) =>
        maxWaitMin === null
          ? []
          : [{ task, before: at.get(taskId) ?? 0, fromStart: from === "start", maxWaitMin }],
      ),
    ),
    handsFrom: handsAt((minutes) => Math.min(...minutes), "fromMin"),
    handsTo: handsAt((minutes) => Math.max(...minutes), "toMin"),
    heaters: resources
      .filter(({ heater }) => heater !== null)
      .map((resource) => ({
        resource,
        loads: tasks.flatMap(({ modes }, task) =>
          modes.flatMap(({ uses, heat }, mode) =>
            uses.flatMap(({ resourceId, fromMin, toMin }) =>
              resourceId === resource.id ? [{ task, mode, fromMin, toMin, heat }] : [],
            ),
          ),
        ),
      })),
  };
}

/** What a placing costs. What is overfull is looked for only where something was placed against what is held. */
export function judge(problem: ScheduleProblem, placing: Placing): Judged {
  const figures = figuresOf(problem);
  const { starts, ends, modes } = placing;
  const { dueMin, weight, earliestMin, pinnedMin, handsFrom, handsTo } = figures;
  let [brokenMin, latenessMin, firstMin, lastMin] = [0, 0, Infinity, -Infinity];
  for (let task = 0; task < starts.length; task++) {
    const [start, mode] = [starts[task]!, modes[task]!];
    brokenMin += Math.max(earliestMin[task]! - start, 0);
    if (ends[task]! > dueMin[task]!) latenessMin += (ends[task]! - dueMin[task]!) * weight[task]!;
    const pinned = pinnedMin[task]!;
    if (!Number.isNaN(pinned)) brokenMin += Math.abs(start - pinned);
    const [from, to] = [handsFrom[task]![mode]!, handsTo[task]![mode]!];
    if (start + from < firstMin) firstMin = start + from;
    if (start + to > lastMin) lastMin = start + to;
  }
  for (const { tasks, weights } of figures.promises) {
    let worst = 0;
    for (let i = 0; i < tasks.length; i++) {
      const late = (ends[tasks[i]!]! - dueMin[tasks[i]!]!) * weights[i]!;
      if (late > worst) worst = late;
    }
    latenessMin += worst;
  }
  const broken: BrokenPair[] = [];
  for (const { task, before, fromStart, maxWaitMin } of figures.longest) {
    const overMin = starts[task]! - (fromStart ? starts[before]! : ends[before]!) - maxWaitMin;
    if (overMin <= 0) continue;
    broken.push({ task, before, overMin });
    brokenMin += overMin;
  }
  let idleHeatMin = 0;
  for (const heater of listHeaterLoads(figures, placing)) {
    const [first] = heater.loads;
    if (!first) continue;
    brokenMin += Math.max(problem.openMin - findLightMin(heater.resource, first), 0);
    let coveredMin = first.endMin;
    for (const { startMin, endMin } of heater.loads) {
      if (startMin > coveredMin) idleHeatMin += startMin - coveredMin;
      if (endMin > coveredMin) coveredMin = endMin;
    }
  }
  if (placing.isForced) {
    const placed = toPlacedTasks(problem, placing);
    brokenMin += findOverfull(problem, placed).reduce((sum, { fromMin, toMin }) => sum + toMin - fromMin, 0);
  }
  const dayMin = lastMin > firstMin ? lastMin - firstMin : 0;
  return { placing, cost: { brokenMin, latenessMin, dayMin, idleHeatMin }, broken };
}

/** The one that costs less; of equals the first. */
export const pickBetter = (one: Judged, other: Judged): Judged =>
  compareCosts(other.cost, one.cost) < 0 ? other : one;

interface Load {
  readonly startMin: number;
  readonly endMin: number;
  readonly heat: TaskHeat | null;
}

/** Every heater with its loads in the order of their starts. */
function listHeaterLoads({ heaters }: Figures, { starts, modes }: Placing) {
  return heaters.map(({ resource, loads }) => {
    const placed: Load[] = [];
    for (const { task, mode, fromMin, toMin, heat } of loads)
      if (modes[task] === mode)
        placed.push({ startMin: starts[task]! + fromMin, endMin: starts[task]! + toMin, heat });
    return { resource, loads: placed.sort((a, b) => a.startMin - b.startMin) };
  });
}

/** When a heater is switched on for its first load. */
function findLightMin({ heater }: ScheduleProblem["resources"][number], { startMin, heat }: Load): number {
  if (!heater) return startMin;
  return startMin - computeChangeoverMin(heater, heater.restC, heat?.startC ?? heater.restC);
}

/** When each heater that is used is lit for its first load, minutes after midnight, and to what. */
export function findHeaterStarts(problem: ScheduleProblem, placing: Placing): HeaterStart[] {
  return listHeaterLoads(figuresOf(problem), placing).flatMap(({ resource, loads }) => {
    const [first] = loads;
    if (!first) return [];
    const heatC = first.heat?.startC ?? resource.heater?.restC ?? 0;
    const lightMin = findLightMin(resource, first);
    return [{ resourceId: resource.id, lightMin, firstUseMin: first.startMin, heatC }];
  });
}

/** Every task with its place, in the order of the problem. */
export function toPlacedTasks({ tasks }: ScheduleProblem, { starts, ends, modes }: Placing): PlacedTask[] {
  return tasks.map(({ id }, i) => ({
    taskId: id,
    startMin: starts[i]!,
    endMin: ends[i]!,
    mode: modes[i]!,
  }));
}

/** Where what is held and used of a resource is more than there is, by a sweep over starts and ends. */
export function findOverfull(problem: ScheduleProblem, placed: readonly PlacedTask[]): Overfull[] {
  const byId = new Map(placed.map((each) => [each.taskId, each]));
  const changes = new Map<string, Map<number, number>>();
  const take = (resourceId: string, fromMin: number, toMin: number, amount: number) => {
    if (toMin <= fromMin) return;
    const lane = changes.get(resourceId) ?? new Map<number, number>();
    lane.set(fromMin, (lane.get(fromMin) ?? 0) + amount);
    lane.set(toMin, (lane.get(toMin) ?? 0) - amount);
    changes.set(resourceId, lane);
  };
  for (const { id, away } of problem.resources)
    for (const { fromMin, toMin, amount } of away) take(id, fromMin, toMin, amount);
  for (const { id, modes } of problem.tasks) {
    const own = byId.get(id);
    for (const { resourceId, fromMin, toMin, amount } of (own && modes[own.mode]?.uses) ?? [])
      if (own) take(resourceId, own.startMin + fromMin, own.startMin + toMin, amount);
  }
  for (const { resourceId, amount, from, until } of problem.holds) {
    const [first, last] = [byId.get(from.taskId), byId.get(until.taskId)];
    if (first && last) take(resourceId, edgeMin(from, first), edgeMin(until, last), amount);
  }
  return problem.resources.flatMap(({ id, capacity }) => {
    const moments = [...(changes.get(id) ?? [])].sort(([a], [b]) => a - b);
    let taken = 0;
    return moments.flatMap(([fromMin, change], i): Overfull[] => {
      taken += change;
      const toMin = moments[i + 1]?.[0] ?? fromMin;
      return taken > capacity + EVEN ? [{ resourceId: id, fromMin, toMin, over: taken - capacity }] : [];
    });
  });
}
