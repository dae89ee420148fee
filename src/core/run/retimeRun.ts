import { shiftSchedule, type Schedule, type ScheduleProblem } from "../schedule";
import { UNTOUCHED, type RunState } from "./foldRun";
import { toRunProblem, type RunPlan } from "./runProblem";

/** The rest of the day as it will now go, and what that changes. */
export interface Retimed {
  /** What was timed. */
  readonly problem: ScheduleProblem;
  readonly schedule: Schedule;
  /** Where each task is laid, for the next time. */
  readonly laid: RunPlan["placed"];
  /** Of the order it was laid in, where that was given on the day. */
  readonly orderId: string | undefined;
  /** Not begun, and at another minute than before: negative is sooner. */
  readonly moved: readonly { readonly taskId: string; readonly byMin: number }[];
  /** Begun sooner after something than it should, or later than it may: by so many minutes. */
  readonly breached: readonly {
    readonly taskId: string;
    readonly afterTaskId: string;
    readonly kind: "tooSoon" | "tooLate";
    readonly byMin: number;
  }[];
  /** Promises that are late now, and by how much more than before. */
  readonly endangered: readonly {
    readonly taskId: string;
    readonly lateMin: number;
    readonly moreMin: number;
  }[];
}

const ANYTHING = { latenessMin: Infinity, brokenMin: Infinity };

/**
 * Times the rest of the day anew after something happened, what is done fixed and what runs pinned, with the least change.
 * @param before - The day as it was timed last: the frozen plan, or the last of these.
 */
export function retimeRun(plan: RunPlan, before: Retimed | null, state: RunState, nowMin: number): Retimed {
  const hasBegun = (taskId: string) => (state.tasks[taskId] ?? UNTOUCHED).begunMin !== null;
  // An order that was given since goes before what was told last.
  const laid = before && before.orderId === plan.orderId ? before.laid : plan.placed;
  const told = new Map((before?.laid ?? plan.placed).map((each) => [each.taskId, each]));
  let problem = toRunProblem({ ...plan, placed: laid }, state, nowMin);
  const byId = new Map(laid.map((each) => [each.taskId, each]));
  // What has begun has one way left, its own.
  const toPlaces = (places: RunPlan["placed"]) => {
    const placeOf = new Map(places.map((each) => [each.taskId, each]));
    return problem.tasks.flatMap(({ id, pinnedMin }) => {
      const was = placeOf.get(id);
      if (pinnedMin !== null && hasBegun(id)) return [{ taskId: id, startMin: pinnedMin, mode: 0 }];
      return was ? [was] : [];
    });
  };
  const [planned, kept] = [toPlaces(plan.placed), toPlaces(laid)];
  // What strays is found without seeking anything better.
  let schedule = shiftSchedule(problem, planned, kept, ANYTHING);
  for (let strayed = listStrayed(problem, schedule, hasBegun); strayed.size > 0;) {
    problem = loosen(problem, strayed);
    schedule = shiftSchedule(problem, planned, kept, ANYTHING);
    const still = listStrayed(problem, schedule, hasBegun);
    if ([...still].every((taskId) => strayed.has(taskId))) break;
    strayed = new Set([...strayed, ...still]);
  }
  const { cost } = schedule;
  const known = before?.schedule.cost ?? { latenessMin: 0, brokenMin: 0 };
  if (cost.brokenMin > known.brokenMin || cost.latenessMin > known.latenessMin)
    schedule = shiftSchedule(problem, planned, kept, known);
  const lateBefore = new Map((before?.schedule.late ?? []).map(({ taskId, lateMin }) => [taskId, lateMin]));
  return {
    problem,
    schedule,
    laid: schedule.placed.map(({ taskId, startMin, mode }) => ({
      taskId,
      startMin,
      mode: hasBegun(taskId) ? (byId.get(taskId)?.mode ?? mode) : mode,
    })),
    moved: schedule.placed.flatMap(({ taskId, startMin }) => {
      const byMin = startMin - (told.get(taskId)?.startMin ?? startMin);
      return byMin !== 0 && !hasBegun(taskId) ? [{ taskId, byMin }] : [];
    }),
    orderId: plan.orderId,
    breached: listBreaches(plan, state),
    endangered: schedule.late.flatMap(({ taskId, lateMin }) => {
      const moreMin = lateMin - (lateBefore.get(taskId) ?? 0);
      return moreMin > 0 ? [{ taskId, lateMin, moreMin }] : [];
    }),
  };
}

/** What has begun and would be laid elsewhere: it takes what something else that has begun takes already. */
function listStrayed(
  { tasks }: ScheduleProblem,
  { placed }: Schedule,
  hasBegun: (taskId: string) => boolean,
): ReadonlySet<string> {
  const startOf = new Map(placed.map(({ taskId, startMin }) => [taskId, startMin]));
  return new Set(
    tasks.flatMap(({ id, pinnedMin }) => (hasBegun(id) && startOf.get(id) !== pinnedMin ? [id] : [])),
  );
}

/** These take nothing from anyone: two jobs were begun at once with hands for one, and both are being done. */
const loosen = (problem: ScheduleProblem, taskIds: ReadonlySet<string>): ScheduleProblem => ({
  ...problem,
  tasks: problem.tasks.map((task) =>
    taskIds.has(task.id)
      ? { ...task, modes: task.modes.map((mode) => ({ ...mode, uses: [], heat: null })) }
      : task,
  ),
  holds: problem.holds.filter(({ from, until }) => !taskIds.has(from.taskId) && !taskIds.has(until.taskId)),
});

/** Waits from end to start that were not kept by what has begun: those whose first task was done in time to tell. */
function listBreaches({ problem }: RunPlan, state: RunState): Retimed["breached"] {
  return problem.tasks.flatMap(({ id, after }) => {
    const begunMin = state.tasks[id]?.begunMin ?? null;
    if (begunMin === null) return [];
    return after.flatMap(({ taskId, from, minWaitMin, maxWaitMin }): Retimed["breached"][number][] => {
      const doneMin = state.tasks[taskId]?.doneMin ?? null;
      if (doneMin === null || from === "start") return [];
      const waitedMin = begunMin - doneMin;
      const about = { taskId: id, afterTaskId: taskId };
      // Minutes are counted whole when a plan is laid: less than one is no breach.
      if (waitedMin <= minWaitMin - 1) return [{ ...about, kind: "tooSoon", byMin: minWaitMin - waitedMin }];
      return maxWaitMin !== null && waitedMin >= maxWaitMin + 1
        ? [{ ...about, kind: "tooLate", byMin: waitedMin - maxWaitMin }]
        : [];
    });
  });
}
