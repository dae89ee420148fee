import type { ScheduleHold, ScheduleTask, TaskWait } from "../../schedule";
import type { DayTask, TaskKind } from "../result";

/** The schedule's resource of all hands. */
export const HANDS = "hands";

/** By step id: minutes after its task's start at which a step has its moment. Steps that go piece by piece have none. */
export type StepTimes = Readonly<Record<string, number>>;

/** A task before it has a time. */
export type DraftTask = Omit<DayTask, "placed" | "heat" | "machineId" | "person" | "steps"> & {
  /** Of its way, in their order. */
  readonly stepIds: readonly string[];
  /** For each of its modes; empty where its steps go piece by piece. */
  readonly stepTimes: readonly StepTimes[];
  readonly schedule: ScheduleTask;
  /** Of a bake or a frying: the oven or fryer of each of its modes. */
  readonly machineIds: readonly string[];
  /** What of the kit is taken from it on, to the end of another task. */
  readonly holds: readonly ScheduleHold[];
};

/** The wait for another task, from its end to this one's start; no most where it may wait for ever. */
export const wait = (taskId: string, minWaitMin = 0, maxWaitMin: number | null = null): TaskWait => ({
  taskId,
  minWaitMin,
  maxWaitMin,
});

/**
 * The tasks in their order: each starts no sooner than the one before it, at its side where there are hands or machines
 * for both.
 */
export function inOrder(tasks: readonly DraftTask[]): DraftTask[] {
  return tasks.map((task, i) => {
    const before = tasks[i - 1]?.schedule;
    if (!before) return task;
    const { schedule } = task;
    const follows: TaskWait = { ...wait(before.id), from: "start" };
    return { ...task, schedule: { ...schedule, after: [...schedule.after, follows] } };
  });
}

/** Neither held back nor pinned, and of the same weight as every other. */
const free = { releaseMin: null, weight: 1, pinnedMin: null } as const;

const stationOf: Record<TaskKind, DayTask["station"]> = {
  mix: "mix",
  precook: "mix",
  make: "mix",
  sugar: "fill",
  takeOut: "roll",
  roll: "roll",
  line: "fill",
  fill: "fill",
  warm: "fill",
  pour: "fill",
  seal: "seal",
  bake: "bake",
  fry: "bake",
  unmould: "cool",
  glaze: "cool",
  finish: "cool",
  store: "cool",
};

/** What a task says of itself beside its kind. */
export type TaskFacts = Partial<
  Pick<DayTask, "pieceId" | "formulaId" | "cutId" | "lotKey" | "index" | "pieces">
> & {
  readonly label: string;
  readonly stepIds?: readonly string[];
};

/** A task at the station of its kind, free to stand wherever its waits let it. */
export function draft(
  kind: TaskKind,
  facts: TaskFacts,
  handsMin: number,
  schedule: Omit<ScheduleTask, keyof typeof free>,
): DraftTask {
  return {
    id: schedule.id,
    kind,
    station: stationOf[kind],
    pieceId: facts.pieceId ?? null,
    formulaId: facts.formulaId ?? null,
    cutId: facts.cutId ?? null,
    lotKey: facts.lotKey ?? null,
    index: facts.index ?? 1,
    pieces: facts.pieces ?? 0,
    label: facts.label,
    handsMin,
    schedule: { ...free, ...schedule },
    slackMin: 0,
    machineIds: [],
    holds: [],
    stepIds: facts.stepIds ?? [],
    stepTimes: [],
  };
}

/** A task of one pair of hands from its start to its end: whole minutes, at least one. */
export function handTask(
  kind: TaskKind,
  id: string,
  minutes: number,
  after: readonly TaskWait[],
  facts: TaskFacts,
  dueMin: number | null = null,
): DraftTask {
  const durationMin = Math.max(Math.ceil(minutes), 1);
  const uses = [{ resourceId: HANDS, fromMin: 0, toMin: durationMin, amount: 1 }];
  return draft(kind, facts, durationMin, {
    id,
    modes: [{ durationMin, uses, heat: null }],
    after,
    dueMin,
  });
}
