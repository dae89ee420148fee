import type { ScheduleProblem, ScheduleResource, TaskEdge, TaskHeat } from "./problem";

/**
 * A problem by numbers: tasks and resources by their place in the problem's lists, in the direction in which time runs.
 * A search lays one problem thousands of times; looking names up took most of its time.
 */
export interface Frame {
  /** Time runs backwards: ends are starts, and what waited is waited for. */
  readonly isMirrored: boolean;
  readonly resources: readonly ScheduleResource[];
  /** By task. */
  readonly modes: readonly (readonly FrameMode[])[];
  readonly waits: readonly (readonly FrameWait[])[];
  /** By task: those that wait for it, once for each wait. */
  readonly followers: readonly (readonly number[])[];
  /** By the task that is placed first of a hold's two, and by the one that ends it. */
  readonly opening: readonly (readonly FrameHold[])[];
  readonly closing: readonly (readonly FrameHold[])[];
  /** Where a pinned task begins in this frame, done in its first way; NaN where it is free. */
  readonly pinnedMin: Float64Array;
}

export interface FrameMode {
  readonly durationMin: number;
  readonly heat: TaskHeat | null;
  readonly uses: readonly FrameUse[];
}

export interface FrameUse {
  readonly lane: number;
  readonly fromMin: number;
  readonly toMin: number;
  readonly amount: number;
}

/** A shortest wait: from the other's start or end to this one's start or end. */
export interface FrameWait {
  readonly task: number;
  readonly minWaitMin: number;
  readonly fromStart: boolean;
  readonly toEnd: boolean;
}

export interface FrameHold {
  readonly lane: number;
  readonly amount: number;
  readonly from: { readonly task: number; readonly isStart: boolean };
  readonly until: { readonly task: number; readonly isStart: boolean };
}

/** Both directions of one problem, made once. */
const known = new WeakMap<ScheduleProblem, { readonly real: Frame; readonly mirror: Frame }>();

/**
 * @throws {RangeError} If a task or hold names something unknown.
 */
export function framesOf(problem: ScheduleProblem): { readonly real: Frame; readonly mirror: Frame } {
  const found = known.get(problem);
  if (found) return found;
  const made = { real: toFrame(problem), mirror: mirrorFrame(problem) };
  known.set(problem, made);
  return made;
}

/** Place of every id in a list. */
const indexById = (list: readonly { readonly id: string }[]): ReadonlyMap<string, number> =>
  new Map(list.map(({ id }, i) => [id, i]));

function look(places: ReadonlyMap<string, number>, id: string, asker: string): number {
  const found = places.get(id);
  if (found === undefined) throw new RangeError(`placeTasks: ${asker} names unknown ${id}`);
  return found;
}

function toFrame(problem: ScheduleProblem): Frame {
  const { tasks, resources, holds } = problem;
  const [taskAt, laneAt] = [indexById(tasks), indexById(resources)];
  const edge = ({ taskId, edge: side }: TaskEdge) => ({
    task: look(taskAt, taskId, "a hold"),
    isStart: side === "start",
  });
  const listHolds = holds.map(({ resourceId, amount, from, until }) => ({
    lane: look(laneAt, resourceId, "a hold"),
    amount,
    from: edge(from),
    until: edge(until),
  }));
  return withFollowers(listHolds, {
    isMirrored: false,
    resources,
    modes: tasks.map(({ id, modes }) =>
      modes.map(({ durationMin, heat, uses }) => ({
        durationMin,
        heat,
        uses: uses.map(({ resourceId, fromMin, toMin, amount }) => ({
          lane: look(laneAt, resourceId, id),
          fromMin,
          toMin,
          amount,
        })),
      })),
    ),
    waits: tasks.map(({ id, after }) =>
      after.map(({ taskId, minWaitMin, from }) => ({
        task: look(taskAt, taskId, id),
        minWaitMin,
        fromStart: from === "start",
        toEnd: false,
      })),
    ),
    pinnedMin: Float64Array.from(tasks, ({ pinnedMin }) => pinnedMin ?? NaN),
  });
}

function mirrorFrame(problem: ScheduleProblem): Frame {
  const real = toFrame(problem);
  const waits = real.modes.map((): FrameWait[] => []);
  real.waits.forEach((list, task) => {
    for (const { task: before, minWaitMin, fromStart } of list)
      waits[before]?.push({ task, minWaitMin, fromStart: false, toEnd: fromStart });
  });
  const turn = ({ task, isStart }: FrameHold["from"]) => ({ task, isStart: !isStart });
  const holds = real.opening
    .flat()
    .map((hold) => ({ ...hold, from: turn(hold.until), until: turn(hold.from) }));
  return withFollowers(holds, {
    isMirrored: true,
    resources: real.resources,
    modes: real.modes.map((modes) =>
      modes.map((mode) => ({
        ...mode,
        uses: mode.uses.map((use) => ({
          ...use,
          fromMin: mode.durationMin - use.toMin,
          toMin: mode.durationMin - use.fromMin,
        })),
      })),
    ),
    waits,
    pinnedMin: real.pinnedMin.map((minute, i) => -(minute + (real.modes[i]?.[0]?.durationMin ?? 0))),
  });
}

function withFollowers(
  holds: readonly FrameHold[],
  frame: Omit<Frame, "followers" | "opening" | "closing">,
): Frame {
  const empty = <T>(): T[][] => frame.modes.map(() => []);
  const [followers, opening, closing] = [empty<number>(), empty<FrameHold>(), empty<FrameHold>()];
  frame.waits.forEach((list, task) => {
    for (const { task: before } of list) followers[before]?.push(task);
  });
  for (const hold of holds) {
    opening[hold.from.task]?.push(hold);
    closing[hold.until.task]?.push(hold);
  }
  return { ...frame, followers, opening, closing };
}
