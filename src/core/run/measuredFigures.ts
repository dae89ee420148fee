import { toHabitId, toStrayLog } from "../habits";
import { COMES_OUT_C, findFilm, findHeater, type Place } from "../heat";
import {
  toFilmHabit,
  toHeaterHabit,
  toHeatUpHabit,
  findSeason,
  placeNames,
  seasonNames,
  tellHand,
  toHandKey,
  toLiquidHabit,
  toMeasureHabit,
  toOvenHabit,
  toRelaxedHabit,
  toThicknessHabit,
} from "../plan";
import { readDeckPart } from "./askedMeasures";
import { fromJob, readName, type DayFigure } from "./dayFigure";
import type { Measure } from "./event";
import type { RunState, TaskRun } from "./foldRun";
import type { JobSheet, RunSheet } from "./runSheet";

/** What a job's gauges, scale and probe tell. */
export const listMeasured = (job: JobSheet, run: TaskRun, sheet: RunSheet, state: RunState): DayFigure[] => [
  ...listGauged(job, run, sheet),
  ...listUneven(job, run, sheet),
  ...listHeater(job, run, sheet),
  ...listRested(job, run, state),
  ...listCooled(job, run, state),
  ...listOven(job, run.measured, sheet),
  ...listPortions(job, run, sheet),
  ...listLiquid(job, run, sheet),
];

/** What was measured of a job against what was meant: a ruler's, a scale's, a clock's. */
function listGauged(job: JobSheet, { measured }: TaskRun, { cuts, machines }: RunSheet): DayFigure[] {
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
      ...{ measure: "heatUpMin" as const, meant: heatUpMin },
    },
  ] as const;
  return asked.flatMap(({ habit, name, measure, meant }): DayFigure[] => {
    const read = listRead(measured, measure);
    if (name === null || !meant || read.length === 0) return [];
    return [{ habit, name, ...fromJob(job), value: Math.log(meanOf(read) / meant) }];
  });
}

/** All readings of one measure that can be logged as shares. */
const listRead = (measured: TaskRun["measured"], measure: Measure): number[] =>
  measured.flatMap((each) => (each.measure === measure && each.value > 0 ? [each.value] : []));

const meanOf = (figures: readonly number[]): number =>
  figures.reduce((sum, each) => sum + each, 0) / figures.length;

/** How far a sheet's thickness strays, where it was read in several places. */
function listUneven(job: JobSheet, { measured }: TaskRun, { cuts }: RunSheet): DayFigure[] {
  const doughId = cuts.find(({ id }) => id === job.cutId)?.doughId;
  const value = toStrayLog(listRead(measured, "thicknessMm"));
  if (doughId === undefined || value === null) return [];
  return [{ habit: toHabitId("uneven", doughId), name: readName(job), ...fromJob(job), value }];
}

/** What a fryer's heater gave, by how cold a full basket made its oil. */
function listHeater(job: JobSheet, { measured }: TaskRun, { machines }: RunSheet): DayFigure[] {
  const { fry, machineId } = job.targets;
  const lowestC = measured.findLast(({ measure }) => measure === "oilLowC")?.value;
  const machine = machines.find(({ resourceId }) => resourceId.endsWith(`:${machineId}`));
  if (!fry || machineId === null || !machine || lowestC === undefined) return [];
  const factor = findHeater(fry.bath, fry.load, lowestC);
  if (factor === null) return [];
  return [{ habit: toHeaterHabit(machineId), name: machine.name, ...fromJob(job), value: Math.log(factor) }];
}

/** How readily a cold place took heat out of a dough: by its core as it was rolled. */
function listRested(job: JobSheet, run: TaskRun, state: RunState): DayFigure[] {
  const { rest } = job.targets;
  const stood = rest && findStood(rest.fromTaskId, run, state);
  if (!stood) return [];
  const film = findFilm(rest.cores, stood.minutes, stood.coreC);
  return tellFilm(rest.place, film, job, rest.fromTaskId);
}

/** How readily heat leaves a baked piece on the bench: by its core as it was worked on, and as it came out where that was read. */
function listCooled(job: JobSheet, run: TaskRun, state: RunState): DayFigure[] {
  const { cooling } = job.targets;
  const stood = cooling && findStood(cooling.fromTaskId, run, state);
  if (!stood) return [];
  const { fromTaskId, roomC, cores } = cooling;
  const outC = readCore(state.tasks[fromTaskId]) ?? COMES_OUT_C;
  // What came out no warmer than the room tells nothing of how it cools.
  if (outC <= roomC) return [];
  // What is warmer by so much at first is so by the same share of it later: above freezing conduction is linear.
  const evenC = roomC + ((stood.coreC - roomC) * (COMES_OUT_C - roomC)) / (outC - roomC);
  return tellFilm("bench", findFilm(cores, stood.minutes, evenC), job, fromTaskId);
}

/** The last core that was read of a job. */
const readCore = (run: TaskRun | undefined): number | null =>
  run?.measured.findLast(({ measure }) => measure === "coreC")?.value ?? null;

/** How long what a job takes up has lain since another ended, and the core it was found with. */
function findStood(
  fromTaskId: string,
  { begunMin, measured }: TaskRun,
  { tasks }: RunState,
): { readonly minutes: number; readonly coreC: number } | null {
  const fromMin = tasks[fromTaskId]?.doneMin ?? null;
  const coreC = measured.find(({ measure }) => measure === "coreC")?.value;
  if (begunMin === null || fromMin === null || coreC === undefined) return null;
  return { minutes: begunMin - fromMin, coreC };
}

function tellFilm(place: Place, film: number | null, job: JobSheet, fromTaskId: string): DayFigure[] {
  if (film === null) return [];
  const taskIds = [job.taskId, fromTaskId];
  return [
    {
      habit: toFilmHabit(place),
      name: placeNames[place],
      source: job.taskId,
      taskIds,
      value: Math.log(film),
    },
  ];
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

/** The portions of a lot: against what each should get, by piece and by whose measure; and how far they stray. */
function listPortions(job: JobSheet, { measured, person }: TaskRun, { pieces }: RunSheet): DayFigure[] {
  const { portionG } = job.targets;
  const piece = pieces.find(({ id }) => id === job.pieceId);
  const weighed = listRead(measured, "massG");
  if (!piece || portionG === null || portionG <= 0 || weighed.length === 0) return [];
  const value = Math.log(meanOf(weighed) / portionG);
  const stray = toStrayLog(weighed);
  const key = toHandKey(piece.craft.fill.style, person ?? job.person);
  const ofHand = { name: tellHand(key), ...fromJob(job) };
  return [
    { habit: toHabitId("portion", piece.id), name: piece.name, ...fromJob(job), value },
    { habit: toMeasureHabit(key), ...ofHand, value },
    ...(stray === null ? [] : [{ habit: toHabitId("spread", key), ...ofHand, value: stray }]),
  ];
}

/** What a dough took of its liquid, against its formula as written: at all times, and at this time of the year. */
function listLiquid(job: JobSheet, { pouredG, doneMin }: TaskRun, { date }: RunSheet): DayFigure[] {
  const { formulaId, liquid, weighing } = job;
  // Sheets frozen before it was kept have what was aimed at, which then was as written or as it took last time.
  const plannedG =
    liquid?.writtenG ?? weighing.find(({ line }) => line.lineId === liquid?.lineId)?.line.massG ?? 0;
  if (formulaId === null || plannedG <= 0 || pouredG <= 0 || doneMin === null) return [];
  const value = Math.log(pouredG / plannedG);
  const name = readName(job);
  const season = findSeason(date);
  return [
    { habit: toLiquidHabit(formulaId), name, ...fromJob(job), value },
    {
      habit: toLiquidHabit(formulaId, season),
      name: `${name}, ${seasonNames[season]}`,
      ...fromJob(job),
      value,
    },
  ];
}
