import { readlinkSync } from "node:fs";
import { setPriority } from "node:os";
import { gzipSync } from "node:zlib";
import {
  computeYield,
  craftHandTimes,
  layOutParts,
  planCuts,
  planYield,
  searchTight,
  type TightProgress,
  toLaidParts,
  type LaidParts,
  type PartsFailure,
} from "@/core/cutting";
import { Budget } from "@/core/budget";
import { computeReadiness, coolPiece, findLargestLoad, fryLoad, scaleBake } from "@/core/heat";
import { planDay, type DayBook } from "@/core/plan";
import { ok, type Result } from "@/core/result";
import { metricMeasures, setHouseMeasures, type HouseMeasures } from "@/core/units";
import { adjustRun, compareOutlook, foldRun, freezeRun, retimeRun, viewRun } from "@/core/run";
import { improveSchedule } from "@/core/schedule";
import { createRandom } from "@/core/seededRandom";
import { checkPages, packCopy } from "@/data/copyFile";
import { writeLines } from "@/data/copyLines";
import { openCopy } from "@/data/openCopy";
import { putOutward, setOutward } from "@/data/outward";
import type { BakeScaleDocument, FryDocument } from "@/schemas/heatCalculators";
import type { RunDocument } from "@/schemas/runEvents";
import type { ScheduleDocument } from "@/schemas/scheduleDocument";
import { loadDays } from "./loadDays";
import type { PrintedDay, PrintedDayLabels, PrintedTemplate } from "./papers";
import { weighDays } from "./weighDays";
import type { CutPlanDocument, LayoutDocument, YieldDocument } from "@/schemas/validate";

/**
 * What writes PDFs takes longer to load than all that plans, and a thread is loaded before the first page: it is fetched
 * when a paper is asked for.
 */
const loadPapers = () => import("./papers");

/** What the server works out in threads of its own, so that pages are answered meanwhile. Plain data in and out. */
const jobs = {
  layOut,
  layOutAsText: (document: LayoutDocument): Result<Uint8Array<ArrayBuffer>, PartsFailure> => {
    const laid = layOut(document);
    return laid.ok ? ok(new TextEncoder().encode(JSON.stringify(laid.value))) : laid;
  },
  planCuts({ budgetMs, ...document }: CutPlanDocument) {
    const budget = startBudget(budgetMs);
    const answers = planCuts({ ...document, handTimes: craftHandTimes }, budget);
    return answers.ok ? ok({ ...answers.value, isFinished: !budget.cutShort }) : answers;
  },
  computeYield({ budgetMs, ...document }: YieldDocument) {
    const budget = startBudget(budgetMs);
    const request = { ...document, handTimes: craftHandTimes };
    const made = computeYield(request, budget);
    return { ...made, plan: planYield(request, budget), isFinished: !budget.cutShort };
  },
  improveSchedule({ budgetMs, seed, ...problem }: ScheduleDocument) {
    const budget = startBudget(budgetMs);
    return improveSchedule(problem, { random: createRandom(seed), isOver: () => budget.isOver() });
  },
  computeReadiness,
  coolPiece,
  fry({ bath, load, leastC }: FryDocument) {
    const fried = fryLoad(bath, load);
    return fried.ok ? ok({ ...fried.value, largestLoad: findLargestLoad(bath, load, leastC) }) : fried;
  },
  scaleBake: ({ known, other }: BakeScaleDocument) => scaleBake(known, other),
  planDay: (book: DayBook) => planDay(book),
  packPlan: (book: DayBook): Uint8Array =>
    gzipSync(JSON.stringify(planDay(book)), { level: PLAN_DEFLATE_LEVEL }),
  freezeDay(book: DayBook): Uint8Array | null {
    const sheet = freezeRun(planDay(book), book);
    return sheet && gzipSync(JSON.stringify(sheet));
  },
  retimeRun({ plan, events, nowMin, person }: RunDocument) {
    const state = foldRun(events);
    // A document has no lots; what was ordered, told and who came to help stands.
    const { sheet } = adjustRun({ ...plan, jobs: [], pieces: [], fillings: [] }, state);
    const retimed = retimeRun(sheet, null, state, nowMin);
    const { schedule, moved, endangered } = retimed;
    const view = viewRun(sheet, retimed, state, nowMin, (taskId) => {
      const has = state.tasks[taskId]?.person;
      return person === null || has === undefined || has === null || has === person;
    });
    return { tasks: state.tasks, placed: schedule.placed, late: schedule.late, moved, endangered, view };
  },
  compareOutlook: ({ book, before }: { book: DayBook; before: Partial<DayBook> }) =>
    compareOutlook(book, before),
  weighDays,
  loadDays,
  writeDayPdf: async (day: PrintedDay) => (await loadPapers()).writeDayPdf(day),
  writeLabelsPdf: async (labels: PrintedDayLabels) => (await loadPapers()).writeLabelsPdf(labels),
  writeTemplatePdf: async (template: PrintedTemplate) => (await loadPapers()).writeTemplatePdf(template),
  packCopy: ({ from, to, about }: { from: string; to: string; about: Parameters<typeof packCopy>[2] }) =>
    packCopy(from, to, about),
  openCopy: ({ from, to, migrations, passphrase }: OpenedCopy) => openCopy(from, to, migrations, passphrase),
  writeLines: ({ from, to, madeAt }: { from: string; to: string; madeAt: string }) =>
    writeLines(from, to, { madeAt }),
  checkPages: (file: string): string | null => checkPages(file),
  putOutward: ({ dataFile, copy }: { dataFile: string; copy: string }) => putOutward(dataFile, copy),
  setOutward: ({ dataFile, setting, passphrase }: OutwardSet) => setOutward(dataFile, setting, passphrase),
} as const;

interface OpenedCopy {
  readonly from: string;
  readonly to: string;
  readonly migrations: string;
  readonly passphrase: string | null;
}

interface OutwardSet {
  readonly dataFile: string;
  readonly setting: Parameters<typeof setOutward>[1];
  readonly passphrase: string | null;
}

function startBudget(budgetMs: number): Budget {
  const endsAtMs = performance.now() + budgetMs;
  return new Budget(() => performance.now() >= endsAtMs);
}

/** Lays out a sheet, or searches tight within the document's budget. @returns Or why not one fits. */
function layOut(document: LayoutDocument): Result<LaidParts, PartsFailure> {
  // The rows it begins with are of its time.
  const budget = startBudget(document.budgetMs);
  const rows = layOutParts(document, document.mode === "tight" ? budget : undefined);
  if (!rows.ok || document.mode !== "tight") return rows;
  let best: TightProgress | null = null;
  for (const progress of searchTight(document, rows.value)) {
    best = progress;
    if (budget.isOver()) break;
  }
  return ok(best && best.sets > best.rowsSets ? toLaidParts(document, best) : rows.value);
}

/** A plan is packed once and sent many times, mostly within the house. */
const PLAN_DEFLATE_LEVEL = 4;

export type Jobs = typeof jobs;
export type JobName = keyof Jobs;
export type JobInput<N extends JobName> = Parameters<Jobs[N]>[0];
export type JobOutput<N extends JobName> = ReturnType<Jobs[N]>;

/** Below the pages, above nothing: what a thread does here can wait a moment. */
const NICENESS = 10;

try {
  // On Linux a thread has a number of its own to which a priority can be given; elsewhere it stays as it is.
  const thread = Number(readlinkSync("/proc/thread-self").split("/").at(-1));
  setPriority(thread, NICENESS);
} catch {
  // No such place, or not allowed: the thread runs like the others.
}

/** What a job may be of: a day with its kitchen, by itself or with what is asked of it. */
interface OfHouse {
  readonly kitchen?: HouseMeasures;
  readonly book?: { readonly kitchen: HouseMeasures };
  readonly measures?: HouseMeasures;
}

/** Does one job; a thread does one at a time. Its texts are in the measures of the house that it is of. */
export default function run({ name, input }: { readonly name: JobName; readonly input: never }): unknown {
  const { kitchen, book, measures }: OfHouse = input;
  setHouseMeasures(measures ?? book?.kitchen ?? kitchen ?? metricMeasures);
  return (jobs[name] as (input: never) => unknown)(input);
}
