import { findImplausible, tellWork, toHabitId, toPaceKey, toShareLog, type HabitId } from "../habits";
import { findFilm } from "../heat";
import {
  toFilmHabit,
  toHeatFactor,
  toHeatHabit,
  toJobFactor,
  toJobHabit,
  toOvenHabit,
  toRelaxedHabit,
  toThicknessHabit,
} from "../plan";
import { adjustRun } from "./adjustRun";
import type { RunEvent } from "./event";
import { foldRun, UNTOUCHED, type RunState, type TaskRun } from "./foldRun";
import { toWholeLog } from "./log";
import { readClosing } from "./closing";
import type { JobSheet, RunSheet } from "./runSheet";

/** One figure of one lot, on its habit's scale. */
export interface DayFigure {
  readonly habit: HabitId;
  /** Whose: of a piece, a dough, an oven, a way of working. */
  readonly name: string;
  /** The record or the job that it is of. */
  readonly source: string;
  /** Jobs without which it would not be. */
  readonly taskIds: readonly string[];
  readonly value: number;
}

/** Nothing that took or was planned to take less is timed, min. */
const LEAST_MIN = 1;

/** The figures that a run has of its lots and that can be. */
export const listDayFigures = (frozen: RunSheet, events: readonly RunEvent[]): DayFigure[] =>
  listAllFigures(frozen, events).filter(({ habit, value }) => findImplausible(habit, value) === null);

/**
 * The figures that a run has of its lots, slips and all, each against what the craft, the piece or the kit says: what the
 * plan had from the log already is taken out again. Of what is not done, not read or left out there is none.
 */
export function listAllFigures(frozen: RunSheet, events: readonly RunEvent[]): DayFigure[] {
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
      ...listRolled(job, run, frozen),
      ...listFilm(job, run, state),
      ...listOven(job, run.measured, frozen),
      ...listPortions(job, run.measured, frozen),
      ...listLiquid(job, run),
    ];
  });
  return [...ofJobs, ...listLogged(frozen, events), ...listSold(frozen, state)];
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
  return [{ habit, name, ...about(job), value: Math.log((took / planned) * byPlan) }];
}

/** Of what a job is. */
const readName = ({ formulaName, about, title }: JobSheet): string =>
  formulaName ?? (about.split(",")[0] || title);

/** How thick a dough was rolled, and what its blanks came to. */
function listRolled(job: JobSheet, { measured }: TaskRun, { cuts }: RunSheet): DayFigure[] {
  const doughId = cuts.find(({ id }) => id === job.cutId)?.doughId;
  const { thicknessMm, blankMm } = job.targets;
  if (doughId === undefined) return [];
  return (
    [
      [toThicknessHabit(doughId), "thicknessMm", thicknessMm],
      [toRelaxedHabit(doughId), "blankMm", blankMm],
    ] as const
  ).flatMap(([habit, wanted, targetMm]): DayFigure[] => {
    const read = measured.flatMap(({ measure, value }) => (measure === wanted && value > 0 ? [value] : []));
    if (!targetMm || read.length === 0) return [];
    const meanMm = read.reduce((sum, each) => sum + each, 0) / read.length;
    return [{ habit, name: readName(job), ...about(job), value: Math.log(meanMm / targetMm) }];
  });
}

/** How readily a cold place took heat out of a dough: by its core as it was rolled. */
function listFilm(job: JobSheet, { begunMin, measured }: TaskRun, { tasks }: RunState): DayFigure[] {
  const { rest } = job.targets;
  const mixedMin = rest ? tasks[rest.fromTaskId]?.doneMin : null;
  const coreC = measured.find(({ measure }) => measure === "coreC")?.value;
  if (!rest || begunMin === null || mixedMin === null || mixedMin === undefined || coreC === undefined)
    return [];
  const film = findFilm(rest.cores, begunMin - mixedMin, coreC);
  if (film === null) return [];
  const name = rest.place === "fridge" ? "Fridge" : "Freezer";
  return [
    {
      habit: toFilmHabit(rest.place),
      name,
      source: job.taskId,
      taskIds: [job.taskId, rest.fromTaskId],
      value: Math.log(film),
    },
  ];
}

const about = ({ taskId }: JobSheet) => ({ source: taskId, taskIds: [taskId] });

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
  return [{ habit, name, ...about(job), value: Math.log((took / planned) * byPlan) }];
}

function listOven(job: JobSheet, measured: TaskRun["measured"], { machines }: RunSheet): DayFigure[] {
  const { machineId, airC } = job.targets;
  const readC = measured.findLast(({ measure }) => measure === "ovenC")?.value;
  const machine = machines.find(({ resourceId }) => resourceId.endsWith(`:${machineId}`));
  if (job.kind !== "bake" || machineId === null || !machine || readC === undefined || airC === null)
    return [];
  return [{ habit: toOvenHabit(machineId), name: machine.name, ...about(job), value: readC - airC }];
}

function listPortions(job: JobSheet, measured: TaskRun["measured"], { pieces }: RunSheet): DayFigure[] {
  const { portionG } = job.targets;
  const piece = pieces.find(({ id }) => id === job.pieceId);
  const weighed = measured.flatMap(({ measure, value }) => (measure === "massG" && value > 0 ? [value] : []));
  if (!piece || portionG === null || portionG <= 0 || weighed.length === 0) return [];
  const meanG = weighed.reduce((sum, each) => sum + each, 0) / weighed.length;
  return [
    {
      habit: toHabitId("portion", piece.id),
      name: piece.name,
      ...about(job),
      value: Math.log(meanG / portionG),
    },
  ];
}

/** What a dough took of its liquid, against its formula as written. */
function listLiquid(job: JobSheet, { pouredG, doneMin }: TaskRun): DayFigure[] {
  const { formulaId, liquid, weighing } = job;
  const plannedG = weighing.find(({ line }) => line.lineId === liquid?.lineId)?.line.massG ?? 0;
  if (formulaId === null || plannedG <= 0 || pouredG <= 0 || doneMin === null) return [];
  return [
    {
      habit: toHabitId("liquid", formulaId),
      name: readName(job),
      ...about(job),
      value: Math.log(pouredG / plannedG),
    },
  ];
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
