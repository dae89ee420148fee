import { findImplausible, tellWork, toHabitId, toPaceKey, toShareLog, type HabitId } from "../habits";
import { findFilm, findHeater } from "../heat";
import {
  toFilmHabit,
  toHeaterHabit,
  toHeatFactor,
  toHeatHabit,
  toHeatUpHabit,
  toJobFactor,
  toJobHabit,
  toOvenHabit,
  toPersonHabit,
  toRelaxedHabit,
  toThicknessHabit,
} from "../plan";
import { createRecordMemory } from "../createMemory";
import { readDeckPart } from "./askedMeasures";
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
      ...listMeasured(job, run, frozen),
      ...listHeater(job, run, frozen),
      ...listFilm(job, run, state),
      ...listOven(job, run.measured, frozen),
      ...listPortions(job, run.measured, frozen),
      ...listLiquid(job, run),
    ];
  });
  return [...ofJobs, ...listLogged(frozen, events), ...listSold(frozen, state), ...listKept(frozen, state)];
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

/** What was measured of a job against what was meant: a ruler's, a scale's, a clock's. */
function listMeasured(job: JobSheet, { measured }: TaskRun, { cuts, machines }: RunSheet): DayFigure[] {
  const doughId = cuts.find(({ id }) => id === job.cutId)?.doughId;
  const { thicknessMm, blankMm, trimG, heatUpMin, machineId } = job.targets;
  const machine = machines.find(({ resourceId }) => resourceId.endsWith(`:${machineId}`));
  const ofDough = doughId === undefined ? null : readName(job);
  const asked = [
    { habit: toThicknessHabit(doughId ?? ""), name: ofDough, measure: "thicknessMm", meant: thicknessMm },
    { habit: toRelaxedHabit(doughId ?? ""), name: ofDough, measure: "blankMm", meant: blankMm },
    { habit: toHabitId("trim", doughId ?? ""), name: ofDough, measure: "trimG", meant: trimG },
    {
      ...{ habit: toHeatUpHabit(machineId ?? ""), name: machine?.name ?? null },
      ...{ measure: "heatUpMin", meant: heatUpMin },
    },
  ] as const;
  return asked.flatMap(({ habit, name, measure, meant }): DayFigure[] => {
    const read = measured.flatMap((each) => (each.measure === measure && each.value > 0 ? [each.value] : []));
    if (name === null || !meant || read.length === 0) return [];
    const mean = read.reduce((sum, each) => sum + each, 0) / read.length;
    return [{ habit, name, ...about(job), value: Math.log(mean / meant) }];
  });
}

/** What a fryer's heater gave, by how cold a full basket made its oil. */
function listHeater(job: JobSheet, { measured }: TaskRun, { machines }: RunSheet): DayFigure[] {
  const { fry, machineId } = job.targets;
  const lowestC = measured.findLast(({ measure }) => measure === "oilLowC")?.value;
  const machine = machines.find(({ resourceId }) => resourceId.endsWith(`:${machineId}`));
  if (!fry || machineId === null || !machine || lowestC === undefined) return [];
  const factor = findHeater(fry.bath, fry.load, lowestC);
  if (factor === null) return [];
  return [{ habit: toHeaterHabit(machineId), name: machine.name, ...about(job), value: Math.log(factor) }];
}

/** Minutes of whoever had the job, against what the plan gave it for all hands. */
function listPerson(job: JobSheet, { begunMin, doneMin, person }: TaskRun, planned: number): DayFigure[] {
  const isByHand = toJobHabit(job) !== null || job.kind === "fill" || job.kind === "seal";
  const took = begunMin !== null && doneMin !== null ? doneMin - begunMin : 0;
  if (!isByHand || took < LEAST_MIN || planned < LEAST_TIMED_MIN) return [];
  const who = person ?? job.person;
  const value = Math.log(took / planned);
  return [{ habit: toPersonHabit(who), name: who === 0 ? "Baker" : "Helper", ...about(job), value }];
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

/** Air off the kit's, of an oven or of the deck that was read. */
function listOven(job: JobSheet, measured: TaskRun["measured"], { machines }: RunSheet): DayFigure[] {
  const { machineId, airC, decksC } = job.targets;
  const machine = machines.find(({ resourceId }) => resourceId.endsWith(`:${machineId}`));
  if (job.kind !== "bake" || machineId === null || !machine || airC === null) return [];
  const lastOf = new Map(
    measured.flatMap(({ measure, value, part }) =>
      measure === "ovenC" ? [[readDeckPart(part), value] as const] : [],
    ),
  );
  return [...lastOf].map(([deck, readC]): DayFigure => {
    const meantC = deck === null ? airC : (decksC?.[deck - 1] ?? airC);
    const ofDeck = decksC && deck !== null && deck <= decksC.length ? deck : null;
    return {
      habit: toOvenHabit(machineId, ofDeck),
      name: ofDeck === null ? machine.name : `${machine.name}, deck ${ofDeck}`,
      source: ofDeck === null ? job.taskId : `${job.taskId} ${ofDeck}`,
      taskIds: [job.taskId],
      value: readC - meantC,
    };
  });
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
