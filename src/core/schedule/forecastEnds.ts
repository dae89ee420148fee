import { computeChangeoverMin, type PlacedTask, type ScheduleProblem, type TaskMode } from "./problem";

/** How far a task's minutes may stray from those planned. */
export interface TaskSpread {
  /** Tasks of one group stray together: a slow hand is slow all morning. */
  readonly group: string;
  /** Of the logarithm of its minutes, one standard deviation; how far the group strays, and the task by itself. */
  readonly groupSd: number;
  readonly ownSd: number;
  /** By so much whoever does it is slower than planned for all, of the logarithm; nothing said is 0. */
  readonly slowerLog?: number;
}

/** When something ends: as likely before as after `likelyMin`, nine times in ten by `mostMin`. */
export interface EndForecast {
  readonly likelyMin: number;
  readonly mostMin: number;
}

export interface DayForecast {
  /** Of the last to end. */
  readonly last: EndForecast;
  /** Of one task; null if it is not laid. */
  readonly find: (taskId: string) => EndForecast | null;
}

/** By so many mornings a ninth in ten is known to a minute or two. */
const MORNINGS = 100;
const MOST_SHARE = 0.9;

/** One that has to be over before another begins: by so much at least. */
interface Link {
  readonly before: number;
  /** From which minute of the earlier task; it grows with the task. */
  readonly fromMin: number;
  readonly gapMin: number;
}

/**
 * Ends of a laid day when minutes stray: many mornings in which everything keeps its order and nothing begins before it
 * was planned, so that what is late pushes what waits for it. Waits and changes of heat take as long as planned.
 * O(mornings × tasks); ties in a resource's order follow the plan's starts.
 * @param spreads - By task id; a task without one takes what was planned.
 * @param drawNormal - Normal numbers.
 * @returns Null where nothing is laid.
 */
export function forecastEnds(
  problem: ScheduleProblem,
  placed: readonly PlacedTask[],
  spreads: ReadonlyMap<string, TaskSpread>,
  drawNormal: () => number,
): DayForecast | null {
  if (placed.length === 0) return null;
  const order = placed.toSorted((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
  const at = new Map(order.map(({ taskId }, i) => [taskId, i]));
  const { firstLink, before, fromMin, gapMin } = packLinks(linkTasks(problem, order, at));
  const groups = [...new Set([...spreads.values()].map(({ group }) => group))];
  const spreadOf = ({ taskId }: PlacedTask) => spreads.get(taskId);
  const groupSd = Float64Array.from(order, (task) => spreadOf(task)?.groupSd ?? 0);
  const ownSd = Float64Array.from(order, (task) => spreadOf(task)?.ownSd ?? 0);
  const slowerLog = Float64Array.from(order, (task) => spreadOf(task)?.slowerLog ?? 0);
  const groupOf = Int32Array.from(order, (task) => Math.max(groups.indexOf(spreadOf(task)?.group ?? ""), 0));
  const startMin = Float64Array.from(order, (task) => task.startMin);
  const lengthMin = Float64Array.from(order, (task) => task.endMin - task.startMin);
  const ends = new Float64Array(MORNINGS * order.length);
  const lasts = new Float64Array(MORNINGS).fill(-Infinity);
  const strays = new Float64Array(Math.max(groups.length, 1));
  const [starts, factors] = [new Float64Array(order.length), new Float64Array(order.length)];
  for (let morning = 0; morning < MORNINGS; morning++) {
    for (let group = 0; group < strays.length; group++) strays[group] = drawNormal();
    for (let i = 0; i < order.length; i++) {
      factors[i] = Math.exp(slowerLog[i]! + groupSd[i]! * strays[groupOf[i]!]! + ownSd[i]! * drawNormal());
      let start = startMin[i]!;
      for (let link = firstLink[i]!; link < firstLink[i + 1]!; link++) {
        const other = before[link]!;
        const freeMin = starts[other]! + fromMin[link]! * factors[other]! + gapMin[link]!;
        if (freeMin > start) start = freeMin;
      }
      starts[i] = start;
      const end = start + lengthMin[i]! * factors[i]!;
      ends[i * MORNINGS + morning] = end;
      if (end > lasts[morning]!) lasts[morning] = end;
    }
  }
  return {
    last: tellRange(lasts),
    find(taskId) {
      const i = at.get(taskId);
      return i === undefined ? null : tellRange(ends.subarray(i * MORNINGS, (i + 1) * MORNINGS));
    },
  };
}

function tellRange(sample: Float64Array): EndForecast {
  const sorted = sample.toSorted();
  return {
    likelyMin: sorted[Math.floor(sorted.length / 2)]!,
    mostMin: sorted[Math.ceil(sorted.length * MOST_SHARE) - 1]!,
  };
}

/** The links of all tasks in a row; of one task those from `firstLink` on. Several that say the same are one. */
function packLinks(links: readonly (readonly Link[])[]) {
  const rows = links.map((list) => [
    ...new Map(list.map((link) => [`${link.before} ${link.fromMin} ${link.gapMin}`, link])).values(),
  ]);
  const all = rows.flat();
  const firstLink = new Int32Array(rows.length + 1);
  rows.forEach((row, i) => (firstLink[i + 1] = firstLink[i]! + row.length));
  return {
    firstLink,
    before: Int32Array.from(all, (link) => link.before),
    fromMin: Float64Array.from(all, (link) => link.fromMin),
    gapMin: Float64Array.from(all, (link) => link.gapMin),
  };
}

/** Of each task what it waits for: by its own waits, and by whoever had a resource before it. */
function linkTasks(
  { tasks, resources }: ScheduleProblem,
  order: readonly PlacedTask[],
  at: ReadonlyMap<string, number>,
): Link[][] {
  const taskOf = new Map(tasks.map((task) => [task.id, task]));
  const modeOf = ({ taskId, mode }: PlacedTask): TaskMode | undefined => taskOf.get(taskId)?.modes[mode];
  const links = order.map(({ taskId }): Link[] =>
    (taskOf.get(taskId)?.after ?? []).flatMap(({ taskId: other, from, minWaitMin }) => {
      const before = at.get(other);
      if (before === undefined) return [];
      const { startMin, endMin } = order[before]!;
      return [{ before, fromMin: from === "start" ? 0 : endMin - startMin, gapMin: minWaitMin }];
    }),
  );
  for (const resource of resources) {
    // Places of it, each with who had it last: a task takes those that were free the longest.
    const places: { freeMin: number; task: number; toMin: number; mode: TaskMode }[] = [];
    const uses = order.flatMap((task, i) =>
      (modeOf(task)?.uses ?? []).flatMap((use) =>
        use.resourceId === resource.id ? [{ use, i, startMin: task.startMin, mode: modeOf(task)! }] : [],
      ),
    );
    uses.sort((a, b) => a.startMin + a.use.fromMin - (b.startMin + b.use.fromMin) || a.i - b.i);
    for (const { use, i, startMin, mode } of uses) {
      const fromMin = startMin + use.fromMin;
      const free = places.filter(({ freeMin }) => freeMin <= fromMin).sort((a, b) => a.freeMin - b.freeMin);
      for (let unit = 0; unit < use.amount; unit++) {
        const place = free[unit];
        const taken = { freeMin: startMin + use.toMin, task: i, toMin: use.toMin, mode };
        if (!place) {
          places.push(taken);
          continue;
        }
        if (place.task !== i) {
          const changeMin =
            resource.heater && place.mode.heat && mode.heat
              ? computeChangeoverMin(resource.heater, place.mode.heat.endC, mode.heat.startC)
              : resource.gapMin;
          // What was planned closer together than that stays so.
          const gapMin = Math.min(changeMin, fromMin - place.freeMin) - use.fromMin;
          links[i]!.push({ before: place.task, fromMin: place.toMin, gapMin });
        }
        Object.assign(place, taken);
      }
    }
  }
  // A task that begins later in the plan never holds one that begins before it.
  return links.map((list, i) => list.filter(({ before }) => before < i));
}
