/** All times are whole minutes from the midnight the day begins with; they may be negative. */
export interface TaskUse {
  readonly resourceId: string;
  /** Minutes after the task's start; the task may need a resource for part of its length only. */
  readonly fromMin: number;
  readonly toMin: number;
  /** Of the resource's capacity, above 0: a pair of hands, trays, moulds. */
  readonly amount: number;
}

/** This task starts no sooner than `minWaitMin` after the other's end, or its start, and no later than `maxWaitMin` after it. */
export interface TaskWait {
  readonly taskId: string;
  /** Which end of the other is waited from; its end where nothing is said. */
  readonly from?: "start" | "end" | undefined;
  readonly minWaitMin: number;
  /** Null: for ever. */
  readonly maxWaitMin: number | null;
}

/** One way of doing a task: on this machine or that. */
export interface TaskMode {
  readonly durationMin: number;
  readonly uses: readonly TaskUse[];
  /** What it needs of the heater it uses; null if it uses none. */
  readonly heat: TaskHeat | null;
}

export interface ScheduleTask {
  readonly id: string;
  /** At least one. */
  readonly modes: readonly TaskMode[];
  readonly after: readonly TaskWait[];
  /** Not before this minute; null if nothing holds it. */
  readonly releaseMin: number | null;
  /** Latest end that was promised; null if nothing was. */
  readonly dueMin: number | null;
  /**
   * The promise that the task is a last one of, where a promise has several: it is as late as the latest of them, and
   * its lateness counts once. Left out, the task is a promise by itself.
   */
  readonly promiseId?: string | undefined;
  /** How much a minute of lateness counts, above 0. */
  readonly weight: number;
  /** Starts at this minute and no other; null if it is free. */
  readonly pinnedMin: number | null;
}

/** The tasks that were promised, by promise, as places in the list. */
export function listPromises(tasks: readonly ScheduleTask[]): number[][] {
  const promises = new Map<string, number[]>();
  const alone: number[][] = [];
  tasks.forEach(({ dueMin, promiseId }, i) => {
    if (dueMin === null) return;
    if (promiseId === undefined) return void alone.push([i]);
    const known = promises.get(promiseId);
    if (known) known.push(i);
    else promises.set(promiseId, [i]);
  });
  return [...alone, ...promises.values()];
}

/** A heater's temperature as a task begins and as it ends: a bake may start hot and be lowered. */
export interface TaskHeat {
  readonly startC: number;
  readonly endC: number;
}

export interface Heater {
  readonly restC: number;
  readonly heatUpCPerMin: number;
  readonly coolDownCPerMin: number;
  /** Loads whose heats differ by no more than this may share it. */
  readonly toleranceC: number;
}

/** Something that tasks share up to its capacity. A heater has one temperature at a time. */
export interface ScheduleResource {
  readonly id: string;
  readonly capacity: number;
  /** Between two tasks that do not share it: an oil that has to come back. */
  readonly gapMin: number;
  readonly heater: Heater | null;
  /** Its minutes are hands' minutes: the working day is measured from the first of them to the last. */
  readonly isHands: boolean;
  /** When some of it is not there. */
  readonly away: readonly Away[];
}

export interface Away {
  readonly fromMin: number;
  readonly toMin: number;
  readonly amount: number;
}

/** A moment of a task: its start or its end. */
export interface TaskEdge {
  readonly taskId: string;
  readonly edge: "start" | "end";
}

/**
 * A resource taken through several tasks and the waits between them: moulds from lining to unmoulding, a shelf while a
 * tray chills. `until` must follow `from`, by waits of one on the other, direct or through others. Not for heaters.
 */
export interface ScheduleHold {
  readonly resourceId: string;
  /** Of the resource's capacity, above 0. */
  readonly amount: number;
  readonly from: TaskEdge;
  readonly until: TaskEdge;
}

export interface ScheduleProblem {
  readonly tasks: readonly ScheduleTask[];
  readonly resources: readonly ScheduleResource[];
  readonly holds: readonly ScheduleHold[];
  /** Nobody starts anything before this. */
  readonly openMin: number;
}

export interface PlacedTask {
  readonly taskId: string;
  readonly startMin: number;
  readonly endMin: number;
  /** Which of its modes. */
  readonly mode: number;
}

/** When a heater is switched on for its first task. */
export interface HeaterStart {
  readonly resourceId: string;
  readonly lightMin: number;
  readonly firstUseMin: number;
  readonly heatC: number;
}

export interface BrokenWait {
  readonly taskId: string;
  readonly afterTaskId: string;
  readonly overMin: number;
}

/** So long a resource was asked for more than there is of it, in the worst minute by so much. */
export interface Overfull {
  readonly resourceId: string;
  readonly fromMin: number;
  readonly toMin: number;
  readonly over: number;
}

export interface LateTask {
  readonly taskId: string;
  readonly dueMin: number;
  readonly lateMin: number;
}

/** What a schedule is judged by, in this order. */
export interface ScheduleCost {
  /** Minutes by which waits are longer than allowed, something is overfull, tasks begin before the day opens, or pins are missed. */
  readonly brokenMin: number;
  /** Minutes late, each weighted. */
  readonly latenessMin: number;
  /** From the first minute that needs hands to the last. */
  readonly dayMin: number;
  /** Heaters hot without a load. */
  readonly idleHeatMin: number;
}

export interface Schedule {
  /** In order of starting. */
  readonly placed: readonly PlacedTask[];
  readonly heaterStarts: readonly HeaterStart[];
  /** First minute anything happens, heaters included. */
  readonly startMin: number;
  readonly endMin: number;
  readonly late: readonly LateTask[];
  readonly brokenWaits: readonly BrokenWait[];
  /** Only where holds stand in each other's way. */
  readonly overfull: readonly Overfull[];
  readonly cost: ScheduleCost;
}

/** The minute of an edge of a placed task. */
export const edgeMin = ({ edge }: TaskEdge, { startMin, endMin }: PlacedTask): number =>
  edge === "start" ? startMin : endMin;

/** Whole minutes to bring a heater from one temperature to another. */
export function computeChangeoverMin(heater: Heater, fromC: number, toC: number): number {
  const rate = toC > fromC ? heater.heatUpCPerMin : heater.coolDownCPerMin;
  return Math.ceil(Math.abs(toC - fromC) / rate);
}

/** Two loads may be in a heater at once: both steady, at one heat within its tolerance. */
export function canShare({ toleranceC }: Heater, one: TaskHeat | null, other: TaskHeat | null): boolean {
  if (!one || !other) return false;
  return (
    one.startC === one.endC &&
    other.startC === other.endC &&
    Math.abs(one.startC - other.startC) <= toleranceC
  );
}

/** Negative if the first is the better: broken rules first, then lateness, working day, idle heat. */
export function compareCosts(one: ScheduleCost, other: ScheduleCost): number {
  return (
    one.brokenMin - other.brokenMin ||
    one.latenessMin - other.latenessMin ||
    one.dayMin - other.dayMin ||
    one.idleHeatMin - other.idleHeatMin
  );
}
