import { EVEN } from "./lane";
import {
  computeChangeoverMin,
  edgeMin,
  type BrokenWait,
  type HeaterStart,
  type Overfull,
  type PlacedTask,
  type Schedule,
  type ScheduleCost,
  type ScheduleProblem,
} from "./problem";

/** Reads off what a placing means: first and last minute, heaters, lateness, waits too long, and what it costs. */
export function describeSchedule(
  problem: ScheduleProblem,
  placedById: ReadonlyMap<string, PlacedTask>,
): Schedule {
  const placed = [...placedById.values()].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
  const heaterStarts = findHeaterStarts(problem, placedById);
  const late = problem.tasks.flatMap(({ id, dueMin }) => {
    const lateMin = dueMin === null ? 0 : (placedById.get(id)?.endMin ?? 0) - dueMin;
    return dueMin !== null && lateMin > 0 ? [{ taskId: id, dueMin, lateMin }] : [];
  });
  const brokenWaits: BrokenWait[] = problem.tasks.flatMap((task) =>
    task.after.flatMap(({ taskId, maxWaitMin }) => {
      const waitMin = (placedById.get(task.id)?.startMin ?? 0) - (placedById.get(taskId)?.endMin ?? 0);
      const overMin = maxWaitMin === null ? 0 : waitMin - maxWaitMin;
      return overMin > 0 ? [{ taskId: task.id, afterTaskId: taskId, overMin }] : [];
    }),
  );
  const overfull = findOverfull(problem, placedById);
  const startMin = Math.min(
    ...placed.map((task) => task.startMin),
    ...heaterStarts.map(({ lightMin }) => lightMin),
  );
  return {
    placed,
    heaterStarts,
    startMin: placed.length > 0 ? startMin : problem.openMin,
    endMin: placed.length > 0 ? Math.max(...placed.map(({ endMin }) => endMin)) : problem.openMin,
    late,
    brokenWaits,
    overfull,
    cost: sumCost(problem, placedById, late, brokenWaits, overfull, heaterStarts),
  };
}

function sumCost(
  problem: ScheduleProblem,
  placedById: ReadonlyMap<string, PlacedTask>,
  late: Schedule["late"],
  brokenWaits: readonly BrokenWait[],
  overfull: readonly Overfull[],
  heaterStarts: readonly HeaterStart[],
): ScheduleCost {
  const weightOf = new Map(problem.tasks.map(({ id, weight }) => [id, weight]));
  const isHands = new Set(problem.resources.flatMap(({ id, isHands: hands }) => (hands ? [id] : [])));
  let [firstMin, lastMin, early, missed] = [Infinity, -Infinity, 0, 0];
  for (const { id, modes, pinnedMin, releaseMin } of problem.tasks) {
    const placed = placedById.get(id);
    if (!placed) continue;
    early += Math.max(
      (releaseMin ?? problem.openMin) - placed.startMin,
      problem.openMin - placed.startMin,
      0,
    );
    if (pinnedMin !== null) missed += Math.abs(placed.startMin - pinnedMin);
    for (const { resourceId, fromMin, toMin } of modes[placed.mode]?.uses ?? []) {
      if (!isHands.has(resourceId)) continue;
      firstMin = Math.min(firstMin, placed.startMin + fromMin);
      lastMin = Math.max(lastMin, placed.startMin + toMin);
    }
  }
  const cold = heaterStarts.reduce((sum, { lightMin }) => sum + Math.max(problem.openMin - lightMin, 0), 0);
  return {
    brokenMin:
      brokenWaits.reduce((sum, { overMin }) => sum + overMin, 0) +
      overfull.reduce((sum, { fromMin, toMin }) => sum + toMin - fromMin, 0) +
      early +
      missed +
      cold,
    latenessMin: late.reduce((sum, { taskId, lateMin }) => sum + lateMin * (weightOf.get(taskId) ?? 1), 0),
    dayMin: lastMin > firstMin ? lastMin - firstMin : 0,
    idleHeatMin: sumIdleHeat(problem, placedById),
  };
}

/** Minutes between the first and the last load of each heater in which nothing is in it. */
function sumIdleHeat(problem: ScheduleProblem, placedById: ReadonlyMap<string, PlacedTask>): number {
  return problem.resources.reduce((sum, { id, heater }) => {
    if (!heater) return sum;
    const loads = listUses(problem, placedById, id).sort((a, b) => a.startMin - b.startMin);
    let coveredMin = -Infinity;
    return loads.reduce((idle, { startMin, endMin }) => {
      const gap = coveredMin === -Infinity ? 0 : Math.max(startMin - coveredMin, 0);
      coveredMin = Math.max(coveredMin, endMin);
      return idle + gap;
    }, sum);
  }, 0);
}

/** Where what is held and used of a resource is more than there is. Without holds nothing can be. */
function findOverfull(problem: ScheduleProblem, placedById: ReadonlyMap<string, PlacedTask>): Overfull[] {
  const held = new Set(problem.holds.map(({ resourceId }) => resourceId));
  return problem.resources.flatMap(({ id, capacity, away }) => {
    if (!held.has(id)) return [];
    const taken = [
      ...away.map(({ fromMin, toMin, amount }) => ({ startMin: fromMin, endMin: toMin, amount })),
      ...listUses(problem, placedById, id),
      ...problem.holds.flatMap(({ resourceId, amount, from, until }) => {
        const [first, last] = [placedById.get(from.taskId), placedById.get(until.taskId)];
        return resourceId === id && first && last
          ? [{ startMin: edgeMin(from, first), endMin: edgeMin(until, last), amount }]
          : [];
      }),
    ];
    const moments = [...new Set(taken.flatMap(({ startMin, endMin }) => [startMin, endMin]))].sort(
      (a, b) => a - b,
    );
    return moments.flatMap((fromMin, i): Overfull[] => {
      const over = taken.reduce(
        (sum, { startMin, endMin, amount }) => sum + (startMin <= fromMin && fromMin < endMin ? amount : 0),
        -capacity,
      );
      const toMin = moments[i + 1] ?? fromMin;
      return over > EVEN ? [{ resourceId: id, fromMin, toMin, over }] : [];
    });
  });
}

/** Every use of a resource. */
function listUses(problem: ScheduleProblem, placedById: ReadonlyMap<string, PlacedTask>, resourceId: string) {
  return problem.tasks.flatMap(({ id, modes }) => {
    const placed = placedById.get(id);
    const mode = placed ? modes[placed.mode] : undefined;
    return (mode?.uses ?? []).flatMap((use) =>
      placed && mode && use.resourceId === resourceId
        ? [
            {
              startMin: placed.startMin + use.fromMin,
              endMin: placed.startMin + use.toMin,
              heat: mode.heat,
              amount: use.amount,
            },
          ]
        : [],
    );
  });
}

function findHeaterStarts(
  problem: ScheduleProblem,
  placedById: ReadonlyMap<string, PlacedTask>,
): HeaterStart[] {
  return problem.resources.flatMap(({ id, heater }) => {
    if (!heater) return [];
    const [first] = listUses(problem, placedById, id).sort((a, b) => a.startMin - b.startMin);
    if (!first) return [];
    const heatC = first.heat?.startC ?? heater.restC;
    const lightMin = first.startMin - computeChangeoverMin(heater, heater.restC, heatC);
    return [{ resourceId: id, lightMin, firstUseMin: first.startMin, heatC }];
  });
}
