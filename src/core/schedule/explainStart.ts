import { findGapMin } from "./lane";
import { canShare, type Schedule, type ScheduleProblem, type TaskHeat } from "./problem";

/** What keeps a task from starting sooner. */
export interface StartHold {
  /** Another task it waits for, a resource that another task holds, or the opening. */
  readonly kind: "wait" | "resource" | "opening";
  readonly taskId: string | null;
  readonly resourceId: string | null;
  /** The soonest start that this allows. */
  readonly notBeforeMin: number;
}

export interface StartReason {
  /** What holds it longest; of equals the one listed first. */
  readonly hold: StartHold;
  /** Minutes by which it could start sooner and does not, since the day is laid as late as its promises allow. */
  readonly freeMin: number;
}

/**
 * Why a task does not start earlier: the latest of what it waits for, of who holds its resources before it, and of the
 * opening. Chained from task to task these are the critical chain.
 * @returns null for a task that is not in the schedule.
 */
export function explainStart(
  problem: ScheduleProblem,
  { placed }: Schedule,
  taskId: string,
): StartReason | null {
  const byId = new Map(placed.map((each) => [each.taskId, each]));
  const task = problem.tasks.find(({ id }) => id === taskId);
  const own = byId.get(taskId);
  const mode = own ? task?.modes[own.mode] : undefined;
  if (!task || !own || !mode) return null;
  const waits = task.after.map((wait): StartHold => ({
    kind: "wait",
    taskId: wait.taskId,
    resourceId: null,
    notBeforeMin: (byId.get(wait.taskId)?.endMin ?? -Infinity) + wait.minWaitMin,
  }));
  const holds = mode.uses.flatMap((use): StartHold[] => {
    const resource = problem.resources.find(({ id }) => id === use.resourceId);
    if (!resource) return [];
    return listHolds(problem, byId, use.resourceId, taskId).flatMap(({ id, endMin, heat, amount }) => {
      // What it can share with does not hold it.
      const canBeBoth =
        resource.gapMin === 0 && (resource.heater === null || canShare(resource.heater, heat, mode.heat));
      if (canBeBoth && amount + use.amount <= resource.capacity) return [];
      const gapMin = findGapMin(resource, heat, mode.heat, false);
      const notBeforeMin = endMin + gapMin - use.fromMin;
      return notBeforeMin <= own.startMin
        ? [{ kind: "resource" as const, taskId: id, resourceId: use.resourceId, notBeforeMin }]
        : [];
    });
  });
  const opening: StartHold = {
    kind: "opening",
    taskId: null,
    resourceId: null,
    notBeforeMin: Math.max(problem.openMin, task.releaseMin ?? -Infinity),
  };
  const hold = [...waits, ...holds, opening].reduce((latest, each) =>
    each.notBeforeMin > latest.notBeforeMin ? each : latest,
  );
  return { hold, freeMin: Math.max(own.startMin - hold.notBeforeMin, 0) };
}

interface Held {
  readonly id: string;
  readonly endMin: number;
  readonly heat: TaskHeat | null;
  readonly amount: number;
}

/** Every other task's hold on a resource. */
function listHolds(
  problem: ScheduleProblem,
  byId: ReadonlyMap<string, Schedule["placed"][number]>,
  resourceId: string,
  exceptId: string,
): Held[] {
  return problem.tasks.flatMap(({ id, modes }) => {
    const own = byId.get(id);
    const mode = own ? modes[own.mode] : undefined;
    if (!own || !mode || id === exceptId) return [];
    return mode.uses.flatMap((use) =>
      use.resourceId === resourceId
        ? [{ id, endMin: own.startMin + use.toMin, heat: mode.heat, amount: use.amount }]
        : [],
    );
  });
}
