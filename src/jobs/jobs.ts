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
} from "@/core/cutting";
import { computeReadiness, coolPiece, findLargestLoad, fryLoad, scaleBake } from "@/core/heat";
import { planDay, type DayBook } from "@/core/plan";
import { ok, type Result } from "@/core/result";
import { improveSchedule } from "@/core/schedule";
import { createRandom } from "@/core/seededRandom";
import { packCopy, unpackCopy } from "@/data/copyFile";
import { toDayPdf, toTemplatePdf, type CutTemplate, type Paper } from "@/formats";
import { readFontFiles } from "./fontFiles";
import type { BakeScaleDocument, FryDocument } from "@/schemas/heatCalculators";
import type { ScheduleDocument } from "@/schemas/scheduleDocument";
import { weighDays } from "./weighDays";
import type { CutPlanDocument, LayoutDocument, YieldDocument } from "@/schemas/validate";

/** What the server works out in threads of its own, so that pages are answered meanwhile. Plain data in and out. */
const jobs = {
  layOut,
  planCuts: (document: CutPlanDocument) => planCuts({ ...document, handTimes: craftHandTimes }),
  computeYield(document: YieldDocument) {
    const request = { ...document, handTimes: craftHandTimes };
    return { ...computeYield(request), plan: planYield(request) };
  },
  improveSchedule({ budgetMs, seed, ...problem }: ScheduleDocument) {
    const endsAt = performance.now() + budgetMs;
    return improveSchedule(problem, {
      random: createRandom(seed),
      isOver: () => performance.now() >= endsAt,
    });
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
  weighDays,
  async writeDayPdf({ book, paper }: { book: DayBook; paper: Paper }): Promise<Uint8Array> {
    return toDayPdf(book, planDay(book), paper, await readFontFiles());
  },
  async writeTemplatePdf({ template, paper }: { template: CutTemplate; paper: Paper }): Promise<Uint8Array> {
    return toTemplatePdf(template, paper, await readFontFiles());
  },
  packCopy: ({ from, to, about }: { from: string; to: string; about: Parameters<typeof packCopy>[2] }) =>
    packCopy(from, to, about),
  unpackCopy: ({ from, to }: { from: string; to: string }) => unpackCopy(from, to),
} as const;

/** Lays out a sheet, or searches tight within the document's budget. @returns A sentence if not one fits. */
function layOut(document: LayoutDocument): Result<LaidParts, string> {
  const rows = layOutParts({ ...document, mode: document.mode === "tight" ? "rows" : document.mode });
  if (!rows.ok || document.mode !== "tight") return rows;
  const deadline = performance.now() + document.budgetMs;
  let best: TightProgress["placements"] = [];
  for (const { placements } of searchTight(document)) {
    best = placements;
    if (performance.now() >= deadline) break;
  }
  return ok(best.length > rows.value.count ? toLaidParts(document, best) : rows.value);
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

export default function run({ name, input }: { readonly name: JobName; readonly input: never }): unknown {
  return (jobs[name] as (input: never) => unknown)(input);
}
