import { findImplausible, tellWork, toHabitId, toPaceKey, toShareLog } from "../habits";
import { toHeatFactor, toHeatHabit, toJobFactor, toJobHabit, toPersonHabit } from "../plan";
import { createRecordMemory } from "../createMemory";
import { adjustRun } from "./adjustRun";
import { readClosing } from "./closing";
import { fromJob, readName, type DayFigure } from "./dayFigure";
import type { RunEvent } from "./event";
import { foldRun, UNTOUCHED, type RunState, type TaskRun } from "./foldRun";
import { toWholeLog } from "./log";
import { listMeasured } from "./measuredFigures";
import type { JobSheet, RunSheet } from "./runSheet";

/** Nothing that took or was planned to take less is timed, min. */
const LEAST_MIN = 1;

/** The figures that a run has of its lots and that can be. */
export const listDayFigures = (frozen: RunSheet, events: readonly RunEvent[]): DayFigure[] =>
  listAllFigures(frozen, events).filter(({ habit, value }) => findImplausible(habit, value) === null);

/**
 * The figures that a run has of its lots, slips and all, each against what the craft, the piece or the kit says: what the
 * plan had from the log already is taken out again. Of what is not done, not read or left out there is none.
 */
export const listAllFigures = (frozen: RunSheet, events: readonly RunEvent[]): DayFigure[] =>
  remember(frozen, events, () => findAllFigures(frozen, events));

/** What a page tells of a day it asks for more than once, of the same sheet and events. */
const remember = createRecordMemory<RunSheet, DayFigure[]>();

function findAllFigures(frozen: RunSheet, events: readonly RunEvent[]): DayFigure[] {
  const state = foldRun(events);
  if (state.leftOut !== null) return [];
  const { sheet, counts } = adjustRun(frozen, state);
  const plannedOf = new Map(
    sheet.problem.tasks.map(({ id, modes }) => [
      id,
      modes[sheet.placed.find((each) => each.taskId === id)?.mode ?? 0]?.durationMin,
    ]),
  );
  const ofJobs = sheet.jobs.flatMap((job): DayFigure[] => {
    const run = state.tasks[job.taskId] ?? UNTOUCHED;
    if (run.leftOut !== null || counts.pieces[job.taskId] === 0) return [];
    const planned = (plannedOf.get(job.taskId) ?? job.plannedMin) - job.slackMin;
    return [
      ...listHands(job, run, planned, frozen),
      ...listHeat(job, run, planned, frozen),
      ...(frozen.hasHelper ? listPerson(job, run, planned) : []),
      ...listMeasured(job, run, frozen, state),
    ];
  });
  return [
    ...ofJobs,
    ...listLogged(frozen, events),
    ...listSold(frozen, state),
    ...listKept(frozen, state),
    ...listSpoiled(frozen, state),
  ];
}

/** Below so many minutes a clock that is touched with floury hands tells nothing. */
const LEAST_TIMED_MIN = 3;

/** Jobs that are nothing but hands. */
function listHands(
  job: JobSheet,
  { begunMin, doneMin }: TaskRun,
  planned: number,
  { expected }: RunSheet,
): DayFigure[] {
  const habit = toJobHabit(job);
  const took = begunMin !== null && doneMin !== null ? doneMin - begunMin : 0;
  if (!habit || took < LEAST_MIN || planned < LEAST_TIMED_MIN) return [];
  const byPlan = toJobFactor(expected[habit]?.mean ?? 0);
  const name = tellWork(habit.slice("hands:".length), () => readName(job));
  return [{ habit, name, ...fromJob(job), value: Math.log((took / planned) * byPlan) }];
}

/** Minutes of whoever had the job, against what the plan gave it for all hands. */
function listPerson(job: JobSheet, { begunMin, doneMin, person }: TaskRun, planned: number): DayFigure[] {
  const isByHand = toJobHabit(job) !== null || job.kind === "fill" || job.kind === "seal";
  const took = begunMin !== null && doneMin !== null ? doneMin - begunMin : 0;
  if (!isByHand || took < LEAST_MIN || planned < LEAST_TIMED_MIN) return [];
  const who = person ?? job.person;
  const value = Math.log(took / planned);
  return [{ habit: toPersonHabit(who), name: who === 0 ? "Baker" : "Helper", ...fromJob(job), value }];
}

function listHeat(
  job: JobSheet,
  { begunMin, doneMin }: TaskRun,
  planned: number,
  { pieces, expected }: RunSheet,
): DayFigure[] {
  const { kind, pieceId, targets } = job;
  const name = pieces.find(({ id }) => id === pieceId)?.name;
  const took = begunMin !== null && doneMin !== null ? doneMin - begunMin : 0;
  if ((kind !== "bake" && kind !== "fry") || !name || took < LEAST_MIN || planned < LEAST_MIN) return [];
  if (pieceId === null || targets.machineId === null) return [];
  const habit = toHeatHabit(pieceId, targets.machineId);
  const byPlan = toHeatFactor(expected[habit]?.mean ?? 0);
  return [{ habit, name, ...fromJob(job), value: Math.log((took / planned) * byPlan) }];
}

/** What the log keeps of hands and blanks. */
function listLogged(sheet: RunSheet, events: readonly RunEvent[]): DayFigure[] {
  const { lots, cuts } = toWholeLog(sheet, events);
  const jobsOf = (pick: (job: JobSheet) => boolean) =>
    sheet.jobs.flatMap((job) => (pick(job) ? [job.taskId] : []));
  return [
    ...lots.flatMap(({ id, pieceId, fill, close }) =>
      (
        [
          ["fill", fill],
          ["close", close],
        ] as const
      ).flatMap(([kind, work]): DayFigure[] =>
        work
          ? [
              {
                habit: toHabitId("hands", toPaceKey(kind, work.style)),
                name: tellWork(toPaceKey(kind, work.style), (id) => id),
                source: id,
                taskIds: jobsOf(
                  (job) => job.pieceId === pieceId && job.kind === (kind === "fill" ? "fill" : "seal"),
                ),
                value: Math.log(work.minutes / work.craftMinutes),
              },
            ]
          : [],
      ),
    ),
    ...cuts.map(({ id, doughId, got, planned }): DayFigure => {
      const own = sheet.jobs.filter(
        ({ drawing, cutId }) =>
          drawing?.kind === "sheet" && sheet.cuts.some((cut) => cut.id === cutId && cut.doughId === doughId),
      );
      return {
        habit: toHabitId("blanks", doughId),
        name: own[0] ? readName(own[0]) : doughId,
        source: id,
        taskIds: own.map(({ taskId }) => taskId),
        value: toShareLog(got, planned),
      };
    }),
  ];
}

const listSold = (sheet: RunSheet, state: RunState): DayFigure[] =>
  readClosing(sheet, state).sales.flatMap(({ pieceId, name, made, sold }): DayFigure[] =>
    sold === null || made === 0
      ? []
      : [
          {
            habit: toHabitId("sold", pieceId),
            name,
            source: `sold-${pieceId}`,
            taskIds: [],
            value: toShareLog(Math.min(sold, made), made),
          },
        ],
  );

/** A share below this is nothing kept, and nothing has no logarithm. */
const LEAST_KEPT_SHARE = 0.01;

/** Of a dough or filling that was made so much was said to be over and kept. */
function listKept(sheet: RunSheet, state: RunState): DayFigure[] {
  return readClosing(sheet, state).left.flatMap(({ kind, refId, label, massG, isSaid }): DayFigure[] => {
    const jobs = sheet.jobs.filter(({ formulaId }) => formulaId === refId);
    const madeG = jobs.flatMap(({ weighing }) => weighing).reduce((sum, { line }) => sum + line.massG, 0);
    if (!isSaid || (kind !== "dough" && kind !== "filling") || madeG <= 0) return [];
    const share = Math.min(Math.max(massG / madeG, LEAST_KEPT_SHARE), 1);
    return [
      {
        habit: toHabitId("left", refId),
        name: label,
        source: `left-${refId}`,
        taskIds: [],
        value: Math.log(share),
      },
    ];
  });
}

/** Of what was kept of one thing and is gone from the larder after this day, so much was thrown out. */
function listSpoiled(
  { larder: { uses, left, stale = [] }, pieces }: RunSheet,
  { isClosed, thrown }: RunState,
): DayFigure[] {
  if (!isClosed) return [];
  const named = [...pieces.map(({ id, name }) => ({ refId: id, label: name })), ...left];
  const spoiled = stale.filter(({ item }) => thrown.includes(item.id));
  const amount = ({ massG, count }: { readonly massG: number; readonly count: number }) => massG + count;
  const ids = new Set([...uses, ...spoiled].map(({ item }) => item.refId));
  return [...ids].flatMap((refId): DayFigure[] => {
    const of = <T extends { readonly item: { readonly refId: string } }>(all: readonly T[]) =>
      all.filter(({ item }) => item.refId === refId);
    const outOf = of(spoiled).reduce((sum, { item }) => sum + amount(item), 0);
    const used = of(uses).reduce((sum, use) => sum + amount(use), 0);
    if (outOf + used <= 0) return [];
    const name =
      spoiled.find(({ item }) => item.refId === refId)?.label ??
      named.find((each) => each.refId === refId)?.label ??
      refId;
    const share = Math.min(Math.max(outOf / (outOf + used), LEAST_KEPT_SHARE), 1);
    return [
      {
        ...{ habit: toHabitId("spoiled", refId), name, source: `spoiled-${refId}`, taskIds: [] },
        value: Math.log(share),
      },
    ];
  });
}
