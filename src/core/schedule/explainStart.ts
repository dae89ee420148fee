import { findGapMin } from "./lane";
import { openLane } from "./openLane";
import {
  canShare,
  edgeMin,
  type PlacedTask,
  type Schedule,
  type ScheduleProblem,
  type ScheduleResource,
  type ScheduleTask,
  type TaskHeat,
  type TaskMode,
  type TaskWait,
} from "./problem";

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

/** The tasks that decide when another one starts, the first of the day first; the last is that task itself. */
export function findCriticalChain(problem: ScheduleProblem, schedule: Schedule, taskId: string): string[] {
  const chain: string[] = [];
  // Who holds a task starts before it: a chain is never longer than the day has tasks.
  for (let id: string | null = taskId; id !== null && !chain.includes(id);) {
    chain.unshift(id);
    id = explainStart(problem, schedule, id)?.hold.taskId ?? null;
  }
  return chain;
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
    notBeforeMin: findWaitedMin(byId, wait) + wait.minWaitMin,
  }));
  const holds = listClaims(problem, byId, task, own, mode).flatMap((claim): StartHold[] => {
    const resource = problem.resources.find(({ id }) => id === claim.resourceId);
    const before = resource && findHolder(problem, byId, resource, claim, taskId);
    return before
      ? [
          {
            kind: "resource",
            taskId: before.taskId,
            resourceId: claim.resourceId,
            notBeforeMin: own.startMin - (claim.block.startMin - before.freeFromMin),
          },
        ]
      : [];
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

/** The minute from which a wait counts. */
function findWaitedMin(byId: Placements, { taskId, from = "end" }: TaskWait): number {
  const before = byId.get(taskId);
  return before ? edgeMin({ taskId, edge: from }, before) : -Infinity;
}

/** What is taken of one resource. */
interface Block {
  readonly startMin: number;
  readonly endMin: number;
  readonly amount: number;
  readonly heat: TaskHeat | null;
}

/** What a task takes of a resource as it stands, by itself or as the first of a hold. */
interface Claim {
  readonly resourceId: string;
  readonly block: Block;
  /** The end stays where it is if the start moves: somebody else ends it. */
  readonly endStays: boolean;
}

function listClaims(
  problem: ScheduleProblem,
  byId: Placements,
  task: ScheduleTask,
  own: PlacedTask,
  mode: TaskMode,
): Claim[] {
  return [
    ...mode.uses.map(({ resourceId, fromMin, toMin, amount }) => ({
      resourceId,
      endStays: false,
      block: { startMin: own.startMin + fromMin, endMin: own.startMin + toMin, amount, heat: mode.heat },
    })),
    ...problem.holds.flatMap(({ resourceId, from, until, amount }) => {
      const last = byId.get(until.taskId);
      return from.taskId === task.id && last
        ? [
            {
              resourceId,
              endStays: true,
              block: { startMin: edgeMin(from, own), endMin: edgeMin(until, last), amount, heat: null },
            },
          ]
        : [];
    }),
  ];
}

/** Who ends just where the claim could begin at the soonest: a minute before, there is not enough of the resource. */
function findHolder(
  problem: ScheduleProblem,
  byId: Placements,
  resource: ScheduleResource,
  { block, endStays }: Claim,
  exceptId: string,
): { readonly taskId: string; readonly freeFromMin: number } | null {
  const lane = openLane(resource, null, false);
  const others = listOthers(problem, byId, resource.id, exceptId);
  for (const { block: other } of others) lane.add(other.startMin, other.endMin, other.amount, other.heat);
  const ends = others.map(({ taskId, block: { endMin, heat } }) => {
    const shares =
      resource.gapMin === 0 && (resource.heater === null || canShare(resource.heater, heat, block.heat));
    return { taskId, freeFromMin: endMin + (shares ? 0 : findGapMin(resource, heat, block.heat, false)) };
  });
  const before = ends
    .filter(({ freeFromMin }) => freeFromMin <= block.startMin)
    .sort((a, b) => b.freeFromMin - a.freeFromMin);
  const holds = ({ freeFromMin }: { readonly freeFromMin: number }) => {
    const startMin = freeFromMin - 1;
    const endMin = endStays ? block.endMin : block.endMin - (block.startMin - startMin);
    return !Number.isNaN(lane.findNextStart(startMin, endMin, block.amount, block.heat));
  };
  return before.find(holds) ?? null;
}

type Placements = ReadonlyMap<string, PlacedTask>;

/** Every other task's use of a resource and every hold on it that is not this one's. */
function listOthers(problem: ScheduleProblem, byId: Placements, resourceId: string, exceptId: string) {
  const uses = problem.tasks.flatMap(({ id, modes }) => {
    const own = byId.get(id);
    const mode = own ? modes[own.mode] : undefined;
    if (!own || !mode || id === exceptId) return [];
    return mode.uses.flatMap((use) =>
      use.resourceId === resourceId
        ? [
            {
              taskId: id,
              block: {
                startMin: own.startMin + use.fromMin,
                endMin: own.startMin + use.toMin,
                amount: use.amount,
                heat: mode.heat,
              },
            },
          ]
        : [],
    );
  });
  const held = problem.holds.flatMap(({ resourceId: heldId, amount, from, until }) => {
    const [first, last] = [byId.get(from.taskId), byId.get(until.taskId)];
    return heldId === resourceId && first && last && from.taskId !== exceptId && until.taskId !== exceptId
      ? [
          {
            taskId: until.taskId,
            block: { startMin: edgeMin(from, first), endMin: edgeMin(until, last), amount, heat: null },
          },
        ]
      : [];
  });
  return [...uses, ...held];
}
