import { compareEvents, type Measure, type Mishap, type RunEvent } from "./event";
import type { LaidTask } from "../schedule";
import { toLeftKey } from "./toLeftKey";

/** What became of one task so far. */
export interface TaskRun {
  readonly begunMin: number | null;
  readonly doneMin: number | null;
  /** Steps and lines of it that are done, in their order. */
  readonly parts: readonly string[];
  /** Minutes that it was said to need beyond the plan. */
  readonly moreMin: number;
  /** Who has it; null while it is whose the plan says. */
  readonly person: number | null;
  /** Liquid put in, g. */
  readonly pouredG: number;
  readonly mishaps: readonly {
    readonly mishap: Mishap;
    readonly count: number;
    readonly word: string;
    readonly isLost: boolean;
  }[];
  readonly measured: readonly {
    readonly measure: Measure;
    readonly value: number;
    readonly atMin: number;
    readonly part: string | null;
  }[];
  readonly notes: readonly string[];
  /** Pieces that it was done to until what they are filled with ran out; null while it did not. */
  readonly ranOutAt: number | null;
  /** The minute that whoever waits for it was told on the day; null while the promise stands. */
  readonly toldMin: number | null;
  /** Why nothing is learned from it; null if something is. */
  readonly leftOut: string | null;
}

/** Where the day stands. */
export interface RunState {
  /** By task id, those of which anything is known. */
  readonly tasks: Readonly<Record<string, TaskRun>>;
  /** Readings and words that belong to no task. */
  readonly measured: TaskRun["measured"];
  readonly notes: TaskRun["notes"];
  /** The order that the rest was given last; null while it is the plan's. */
  readonly order: { readonly id: string; readonly placed: readonly LaidTask[] } | null;
  /** When there was or is another pair of hands. */
  readonly help: readonly { readonly fromMin: number; readonly toMin: number }[];
  readonly isClosed: boolean;
  /** By piece id. */
  readonly sold: Readonly<Record<string, number>>;
  /** What is over, by `toLeftKey`. */
  readonly left: Readonly<
    Record<string, { readonly massG: number; readonly count: number; readonly useBy: string }>
  >;
  /** Ids of what was thrown out of the larder. */
  readonly thrown: readonly string[];
  /** Why nothing is learned from the whole day; null if something is. */
  readonly leftOut: string | null;
  /** What counts, in its order: without repeats and without what was taken back. */
  readonly counted: readonly RunEvent[];
  /** What the next "undo" takes back; null if nothing is left. */
  readonly lastId: string | null;
}

/** A task of which nothing is known yet. */
export const UNTOUCHED: TaskRun = {
  begunMin: null,
  doneMin: null,
  parts: [],
  moreMin: 0,
  person: null,
  pouredG: 0,
  mishaps: [],
  measured: [],
  notes: [],
  ranOutAt: null,
  toldMin: null,
  leftOut: null,
};

/**
 * The state of a run from everything that happened: the same whatever the order of arrival and however often a thing is
 * told. An event that was taken back is as if it had never been; taking that back brings it again. O(n log n).
 */
export function foldRun(events: readonly RunEvent[]): RunState {
  const standing = listStanding(events);
  const tasks: Record<string, TaskRun> = {};
  const measured: TaskRun["measured"][number][] = [];
  const notes: string[] = [];
  const help: RunState["help"][number][] = [];
  let order = null as RunState["order"];
  const sold: Record<string, number> = {};
  const left: Record<string, RunState["left"][string]> = {};
  const thrown: string[] = [];
  let isClosed = false;
  let leftOut: string | null = null;
  for (const event of standing) {
    if (event.kind === "undone") continue;
    if (event.kind === "ordered") order = { id: event.id, placed: event.placed };
    else if (event.kind === "helped") help.push({ fromMin: event.atMin, toMin: event.atMin + event.minutes });
    else if (event.kind === "measured" && event.taskId === null) measured.push(toReading(event));
    else if (event.kind === "note" && event.taskId === null) notes.push(event.word);
    else if (event.kind === "closed") isClosed = true;
    else if (event.kind === "sold") sold[event.pieceId] = event.count;
    else if (event.kind === "thrown") thrown.push(event.itemId);
    else if (event.kind === "left") {
      const { larderKind, refId, massG, count, useBy } = event;
      left[toLeftKey(larderKind, refId)] = { massG, count, useBy };
    } else if (event.kind === "leftOut" && event.taskId === null) leftOut = event.word;
    else if (event.taskId !== null) tasks[event.taskId] = applyTo(tasks[event.taskId] ?? UNTOUCHED, event);
  }
  const counted = standing.filter(({ kind }) => kind !== "undone");
  const lastId = counted.at(-1)?.id ?? null;
  return { tasks, measured, notes, order, help, isClosed, sold, left, thrown, leftOut, counted, lastId };
}

type Occurrence = Exclude<
  RunEvent,
  { kind: "undone" | "ordered" | "helped" | "sold" | "left" | "thrown" | "closed" }
>;

const toReading = ({ measure, value, atMin, part }: Extract<RunEvent, { kind: "measured" }>) => ({
  measure,
  value,
  atMin,
  part: part ?? null,
});

/** What happened to a task, after what happened before. */
function applyTo(run: TaskRun, event: Occurrence): TaskRun {
  switch (event.kind) {
    case "begun":
      // Begun twice, by two tablets: the first counts.
      return { ...run, begunMin: run.begunMin ?? event.atMin, person: run.person ?? event.person };
    case "done":
      if (event.part !== undefined)
        return {
          ...run,
          begunMin: run.begunMin ?? event.atMin,
          person: run.person ?? event.person,
          parts: run.parts.includes(event.part) ? run.parts : [...run.parts, event.part],
        };
      return {
        ...run,
        begunMin: run.begunMin ?? event.atMin,
        doneMin: run.doneMin ?? event.atMin,
        person: run.person ?? event.person,
      };
    case "more":
      return { ...run, moreMin: run.moreMin + event.minutes };
    case "wrong":
      return {
        ...run,
        mishaps: [
          ...run.mishaps,
          {
            mishap: event.mishap,
            count: event.count,
            word: event.word,
            isLost: event.isLost ?? false,
          },
        ],
      };
    case "ranOut":
      return { ...run, ranOutAt: event.made };
    case "told":
      return { ...run, toldMin: event.dueMin };
    case "leftOut":
      return { ...run, leftOut: event.word };
    case "measured":
      return { ...run, measured: [...run.measured, toReading(event)] };
    case "poured":
      return { ...run, pouredG: run.pouredG + event.massG };
    case "moved":
      return { ...run, person: event.person };
    case "note":
      return { ...run, notes: [...run.notes, event.word] };
  }
}

/** Each once, in order, less what was taken back by something that was not taken back itself. */
function listStanding(events: readonly RunEvent[]): RunEvent[] {
  const once = new Map(events.map((event) => [event.id, event]));
  const sorted = [...once.values()].sort(compareEvents);
  const undoings = new Map<string, string[]>();
  for (const event of sorted)
    if (event.kind === "undone")
      undoings.set(event.eventId, [...(undoings.get(event.eventId) ?? []), event.id]);
  const known = new Map<string, boolean>();
  const stands = (id: string): boolean => {
    const found = known.get(id);
    if (found !== undefined) return found;
    // Two that take back each other, which nobody can do, both stand from the earlier one's view.
    known.set(id, true);
    const isStanding = !(undoings.get(id) ?? []).some(stands);
    known.set(id, isStanding);
    return isStanding;
  };
  return sorted.filter(({ id }) => stands(id));
}
