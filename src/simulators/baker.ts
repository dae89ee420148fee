import { CUSTARD_CORE_C } from "@/core/cautions";
import { readFilmCore } from "@/core/heat";
import { toHabitId, toPaceKey, type HabitId } from "@/core/habits";
import { toHeatFactor, toHeatHabit, toJobFactor, toJobHabit } from "@/core/plan";
import {
  listDemands,
  SAMPLE_EVERY,
  type JobSheet,
  type Mishap,
  type RunEvent,
  type RunSheet,
} from "@/core/run";

/** Habits that a plan does not know of, and how far single lots stray. Shares of what the craft says, or degrees. */
export interface BakerTruth {
  readonly fill: number;
  readonly close: number;
  /** Of all other work. */
  readonly hands: number;
  readonly heat: number;
  readonly ovenOffC: number;
  readonly portion: number;
  readonly thickness: number;
  /** Of a blank's length, against what its dough says stays. */
  readonly relaxed: number;
  /** How many times the model's film heat passes through in its fridge, and on its bench. */
  readonly film: number;
  readonly bench: number;
  /** Of blanks planned, so many come out: each of the others is spoiled by itself. */
  readonly blanks: number;
  readonly sold: number;
  /** One standard deviation of a lot: of the logarithm of its minutes, and of readings. */
  readonly strayShare: number;
  readonly strayC: number;
}

/** Something that goes wrong on a day, and is told. */
export interface BakerMishap {
  readonly jobKind: JobSheet["kind"];
  readonly pieceId: string;
  readonly mishap: Mishap;
  readonly count: number;
  readonly word: string;
  readonly isLost: boolean;
  /** The job takes so many times its minutes. */
  readonly slower: number;
  /** Nothing is learned from it. */
  readonly isLeftOut: boolean;
}

const PORTION_STRAY = 0.03;
/** A sheet is gauged at its corners. */
const GAUGED = 4;
const BLANK_STRAY = 0.005;
const CORE_STRAY_C = 0.5;

/**
 * A frozen day worked off by a baker with habits of its own: each job begins when it was planned or, late, when its hands
 * and what it waits for are free; what scale, thermometers and eyes see is told; at the end the day is closed.
 * @param random - Even numbers between 0 and 1: the same gives the same day.
 */
export function simulateBaker(
  sheet: RunSheet,
  truth: BakerTruth,
  mishaps: readonly BakerMishap[],
  random: () => number,
): RunEvent[] {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const events: RunEvent[] = [];
  const stray = (share: number) => Math.exp(share * normal());
  // A hand is quick or slow by the day, the lots of a day less so.
  const ofDay = {
    fill: stray(truth.strayShare),
    close: stray(truth.strayShare),
    heat: stray(truth.strayShare / 2),
  };
  const readCore = (job: JobSheet, begunMin: number): number | null => {
    const { rest, window, cooling } = job.targets;
    const outMin = cooling ? ends.get(cooling.fromTaskId) : undefined;
    if (cooling && outMin !== undefined) return readFilmCore(cooling.cores, truth.bench, begunMin - outMin);
    const mixedMin = rest ? ends.get(rest.fromTaskId) : undefined;
    if (rest && mixedMin !== undefined) return readFilmCore(rest.cores, truth.film, begunMin - mixedMin);
    return window && (window.lowC + window.highC) / 2;
  };
  const factorOf = (job: JobSheet): number => {
    if (job.kind === "fill") return truth.fill * ofDay.fill * stray(truth.strayShare / 2);
    if (job.kind === "seal") return truth.close * ofDay.close * stray(truth.strayShare / 2);
    if (job.kind === "bake" || job.kind === "fry")
      return truth.heat * ofDay.heat * stray(truth.strayShare / 3);
    return truth.hands * stray(truth.strayShare);
  };
  const tell = (atMin: number, person: number, event: object) =>
    events.push({
      ...event,
      id: `${sheet.date} ${events.length}`,
      atMin,
      person,
      deviceId: "wall",
    } as RunEvent);
  const startOf = new Map(sheet.placed.map(({ taskId, startMin }) => [taskId, startMin]));
  const afterOf = new Map(sheet.problem.tasks.map(({ id, after }) => [id, after]));
  const ends = new Map<string, number>();
  const freeAt = [-Infinity, -Infinity];
  const jobs = sheet.jobs.toSorted((a, b) => (startOf.get(a.taskId) ?? 0) - (startOf.get(b.taskId) ?? 0));
  for (const job of jobs) {
    const { taskId, kind, pieceId, person } = job;
    const waits = (afterOf.get(taskId) ?? []).map(
      ({ taskId: other, minWaitMin }) => (ends.get(other) ?? -Infinity) + minWaitMin,
    );
    const isByItself = kind === "bake";
    const begunMin = Math.max(startOf.get(taskId) ?? 0, isByItself ? -Infinity : freeAt[person]!, ...waits);
    const mishap = mishaps.find((each) => each.jobKind === kind && each.pieceId === pieceId) ?? null;
    const isFirst =
      mishap !== null && !events.some((event) => event.kind === "wrong" && event.word === mishap.word);
    const own = isFirst ? mishap : null;
    // The plan's reserve for "not yet" is used by nobody who looks in time.
    const craftMin = Math.max(job.plannedMin - job.slackMin, 1) / findPlanFactor(sheet, job);
    const doneMin = begunMin + craftMin * factorOf(job) * (own?.slower ?? 1);
    ends.set(taskId, doneMin);
    if (!isByItself) freeAt[person] = doneMin;
    tell(begunMin, person, { kind: "begun", taskId });
    for (const reading of listReadings(job, readCore(job, begunMin), truth, normal, random))
      tell((begunMin + doneMin) / 2, person, { kind: "measured", taskId, ...reading });
    if (own) {
      const { mishap: trouble, count, word, isLost, isLeftOut } = own;
      tell(doneMin, person, { kind: "wrong", taskId, mishap: trouble, count, word, isLost });
      if (isLeftOut) tell(doneMin, person, { kind: "leftOut", taskId, word });
    }
    tell(doneMin, person, { kind: "done", taskId });
  }
  const lastMin = Math.max(0, ...ends.values());
  for (const { id, promises } of sheet.pieces) {
    const ordered = promises.reduce((sum, { count }) => sum + count, 0);
    const count = Math.round(ordered * Math.min(truth.sold * stray(PORTION_STRAY), 1));
    if (ordered > 0) tell(lastMin + 1, 0, { kind: "sold", pieceId: id, count });
  }
  // A week on nothing of it would be good.
  for (const { kind: larderKind, refId } of sheet.larder.left)
    tell(lastMin + 1, 0, { kind: "left", larderKind, refId, massG: 0, count: 0, useBy: sheet.date });
  tell(lastMin + 2, 0, { kind: "closed" });
  return events;
}

/** What the plan made of the craft's minutes by the log it knew. */
function findPlanFactor(
  { expected, pieces }: RunSheet,
  { kind, pieceId, formulaId, targets }: JobSheet,
): number {
  const meanOf = (habit: HabitId) => expected[habit]?.mean ?? 0;
  const job = toJobHabit({ kind, formulaId });
  if (job) return toJobFactor(meanOf(job));
  const piece = pieces.find(({ id }) => id === pieceId);
  if (!piece) return 1;
  if ((kind === "bake" || kind === "fry") && targets.machineId !== null)
    return toHeatFactor(meanOf(toHeatHabit(piece.id, targets.machineId)));
  if (kind === "fill") return Math.exp(meanOf(toHabitId("hands", toPaceKey("fill", piece.craft.fill.style))));
  if (kind === "seal")
    return Math.exp(meanOf(toHabitId("hands", toPaceKey("close", piece.craft.close.style))));
  return 1;
}

/** What is weighed, read and counted beside a job. */
function listReadings(
  { kind, pieces, targets, drawing, weighing }: JobSheet,
  coreC: number | null,
  truth: BakerTruth,
  normal: () => number,
  random: () => number,
): object[] {
  const { portionG, airC, custardC, thicknessMm, blankMm } = targets;
  const one = (measure: string, value: number) => ({ measure, value: Math.round(value * 10) / 10 });
  if (kind === "fill" && portionG !== null)
    return Array.from({ length: Math.max(Math.floor(pieces / SAMPLE_EVERY), 1) }, () =>
      one("massG", portionG * truth.portion * Math.exp(PORTION_STRAY * normal())),
    );
  if (kind === "bake" && airC !== null)
    return [
      one("ovenC", airC + truth.ovenOffC + truth.strayC * normal()),
      ...(custardC ? [one("coreC", (CUSTARD_CORE_C.lowC + CUSTARD_CORE_C.highC) / 2 + normal())] : []),
    ];
  if (drawing?.kind === "sheet" && !drawing.sheet.isDecoration) {
    const [demandId, ...others] = listDemands(drawing.sheet.parts);
    const got = Array.from({ length: drawing.sheet.count }, () => random() < truth.blanks).filter(
      Boolean,
    ).length;
    const read = (measure: string, value: number | null | undefined) => (value ? [one(measure, value)] : []);
    const rolled = [
      ...read("coreC", coreC && coreC + CORE_STRAY_C * normal()),
      ...Array.from({ length: GAUGED }, () =>
        read(
          "thicknessMm",
          thicknessMm && thicknessMm * truth.thickness * Math.exp(PORTION_STRAY * normal()),
        ),
      ).flat(),
      ...read("blankMm", blankMm && blankMm * truth.relaxed * Math.exp(BLANK_STRAY * normal())),
    ];
    return demandId !== undefined && others.length === 0
      ? [...rolled, { measure: "cutCount", value: got }]
      : rolled;
  }
  if (targets.cooling && coreC !== null) return [one("coreC", coreC + CORE_STRAY_C * normal())];
  return weighing.length > 0 ? [one("roomC", 21 + normal())] : [];
}
