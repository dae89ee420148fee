import { countPieces, type Counts } from "./countPieces";
import type { RunEvent } from "./event";
import { foldRun, UNTOUCHED, type TaskRun } from "./foldRun";
import type { LotFigures, Trouble } from "../remedy";
import { findTrouble, readLotFigures } from "./lotFigures";
import type { PieceNow } from "./pieceRemedy";
import type { JobSheet, RunSheet } from "./runSheet";

/** A job as it was planned and as it went. */
export interface RecordRow extends TaskRun {
  readonly job: JobSheet;
  /** Pieces that it was done to; none where nothing was left for it. */
  readonly pieces: number;
  /** What went wrong with it, with what stands on record of its lot. */
  readonly causes: readonly { readonly trouble: Trouble; readonly figures: LotFigures }[];
  /** What its piece is made by; null where it is of no piece. */
  readonly now: PieceNow | null;
  readonly plannedStartMin: number;
  readonly plannedEndMin: number;
  /** Minutes that it took; null while it is not done. */
  readonly tookMin: number | null;
}

/** What happened on a day. */
export interface RunRecord {
  readonly date: string;
  readonly dayName: string;
  /** In the order in which they were begun; what was not begun comes last, as planned. */
  readonly rows: readonly RecordRow[];
  readonly doneCount: number;
  /** Minutes that done jobs took, and were planned to take. */
  readonly tookMin: number;
  readonly plannedMin: number;
  /** Pieces by what went wrong with them. */
  readonly faults: Readonly<Record<string, number>>;
  /** Readings and words that belong to no job. */
  readonly measured: TaskRun["measured"];
  readonly notes: readonly string[];
  readonly fillings: RunSheet["fillings"];
  /** Of each piece by its id. */
  readonly names: Readonly<Record<string, string>>;
  /** Promises for which there were not enough pieces. */
  readonly short: Counts["short"];
  /** What was told and taken back. */
  readonly takenBack: number;
  readonly isClosed: boolean;
}

/** The record of a run at any moment: the fold of its events beside its frozen plan. */
export function toRecord(sheet: RunSheet, events: readonly RunEvent[]): RunRecord {
  const state = foldRun(events);
  const startOf = new Map(sheet.placed.map(({ taskId, startMin }) => [taskId, startMin]));
  const counts = countPieces(sheet, state);
  const rows = sheet.jobs
    .map((job): RecordRow => {
      const run = state.tasks[job.taskId] ?? UNTOUCHED;
      const plannedStartMin = startOf.get(job.taskId) ?? 0;
      return {
        ...run,
        job,
        causes: [...new Set(run.mishaps.flatMap(({ mishap }) => findTrouble(mishap, job) ?? []))].map(
          (trouble) => ({ trouble, figures: readLotFigures(sheet, state, job.taskId) }),
        ),
        now: sheet.pieces.find(({ id }) => id === job.pieceId)?.now ?? null,
        pieces: counts.pieces[job.taskId] ?? job.pieces,
        plannedStartMin,
        plannedEndMin: plannedStartMin + job.plannedMin,
        tookMin: run.begunMin !== null && run.doneMin !== null ? run.doneMin - run.begunMin : null,
      };
    })
    .sort(
      (a, b) =>
        (a.begunMin ?? Infinity) - (b.begunMin ?? Infinity) || a.plannedStartMin - b.plannedStartMin || 0,
    );
  const done = rows.filter(({ tookMin }) => tookMin !== null);
  const faults: Record<string, number> = {};
  for (const { mishaps } of rows)
    for (const { mishap, count } of mishaps) faults[mishap] = (faults[mishap] ?? 0) + count;
  return {
    date: sheet.date,
    dayName: sheet.dayName,
    rows,
    doneCount: done.length,
    tookMin: done.reduce((sum, { tookMin }) => sum + (tookMin ?? 0), 0),
    plannedMin: done.reduce((sum, { job }) => sum + job.plannedMin, 0),
    faults,
    measured: state.measured,
    notes: state.notes,
    fillings: sheet.fillings,
    names: Object.fromEntries(sheet.pieces.map(({ id, name }) => [id, name])),
    short: counts.short,
    isClosed: state.isClosed,
    takenBack: new Set(events.flatMap((event) => (event.kind === "undone" ? [event.eventId] : []))).size,
  };
}

/** Who corrects, when and where from. */
interface Stamp {
  readonly createId: () => string;
  readonly atMin: number;
  readonly person: number;
  readonly deviceId: string;
}

const takeBack = (told: readonly RunEvent[], { createId, atMin, person, deviceId }: Stamp): RunEvent[] =>
  told.map(({ id }) => ({ kind: "undone", eventId: id, id: createId(), atMin, person, deviceId }));

/** The events that correct when a job was begun and done: what was told is taken back, what was is told instead. */
export function correctTimes(
  events: readonly RunEvent[],
  taskId: string,
  times: { readonly begunMin: number; readonly doneMin: number },
  stamp: Stamp,
): RunEvent[] {
  const { createId, person, deviceId } = stamp;
  const told = foldRun(events).counted.filter(
    (event) =>
      (event.kind === "begun" || (event.kind === "done" && event.part === undefined)) &&
      event.taskId === taskId,
  );
  const by = told[0]?.person ?? person;
  return [
    ...takeBack(told, stamp),
    { kind: "begun", taskId, id: createId(), atMin: times.begunMin, person: by, deviceId },
    { kind: "done", taskId, id: createId(), atMin: times.doneMin, person: by, deviceId },
  ];
}

/**
 * The events that correct how many blanks a sheet gave: of counts told for one minute none is the later, so that the
 * former ones are taken back. @param part - The outline; null where the sheet has one.
 */
export function correctCount(
  events: readonly RunEvent[],
  taskId: string,
  part: string | null,
  value: number,
  stamp: Stamp,
): RunEvent[] {
  const told = foldRun(events).counted.filter(
    (event) =>
      event.kind === "measured" &&
      event.measure === "cutCount" &&
      event.taskId === taskId &&
      (event.part ?? null) === part,
  );
  const { createId, atMin, person, deviceId } = stamp;
  return [
    ...takeBack(told, stamp),
    {
      kind: "measured",
      measure: "cutCount",
      taskId,
      value,
      id: createId(),
      atMin,
      person,
      deviceId,
      ...(part !== null && { part }),
    },
  ];
}
