/** All times are whole minutes from the midnight the day begins with; they may be negative. */
export interface TaskUse {
  readonly resourceId: string;
  /** Minutes after the task's start; the task may need a resource for part of its length only. */
  readonly fromMin: number;
  readonly toMin: number;
}

/** This task starts no sooner than `minWaitMin` after the other's end, and no later than `maxWaitMin`. */
export interface TaskWait {
  readonly taskId: string;
  readonly minWaitMin: number;
  readonly maxWaitMin: number | null;
}

export interface ScheduleTask {
  readonly id: string;
  readonly durationMin: number;
  readonly uses: readonly TaskUse[];
  readonly after: readonly TaskWait[];
  /** Latest end that was promised. */
  readonly dueMin: number | null;
  /** What this task needs of the heater it uses. */
  readonly heat: TaskHeat | null;
}

/** A heater's temperature as a task begins and as it ends: a bake may start hot and be lowered. */
export interface TaskHeat {
  readonly startC: number;
  readonly endC: number;
}

/** Something one task at a time can use. A heater also has to be brought from one temperature to the next. */
export interface ScheduleResource {
  readonly id: string;
  readonly heater: {
    readonly restC: number;
    readonly heatUpCPerMin: number;
    readonly coolDownCPerMin: number;
  } | null;
}

export interface ScheduleProblem {
  readonly tasks: readonly ScheduleTask[];
  readonly resources: readonly ScheduleResource[];
  /** Nobody starts anything before this. */
  readonly openMin: number;
}

export interface PlacedTask {
  readonly taskId: string;
  readonly startMin: number;
  readonly endMin: number;
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

export interface LateTask {
  readonly taskId: string;
  readonly dueMin: number;
  readonly lateMin: number;
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
}

type Heater = NonNullable<ScheduleResource["heater"]>;

/** Whole minutes to bring a heater from one temperature to another. */
export function computeChangeoverMin(heater: Heater, fromC: number, toC: number): number {
  const rate = toC > fromC ? heater.heatUpCPerMin : heater.coolDownCPerMin;
  return Math.ceil(Math.abs(toC - fromC) / rate);
}
