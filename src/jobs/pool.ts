import { availableParallelism } from "node:os";
import path from "node:path";
import { Piscina } from "piscina";
import { fail, ok, type Result } from "@/core/result";
import { createGate, GateFull } from "./gate";
import type { JobInput, JobName, JobOutput } from "./jobs";
import { widenYoungSpace } from "./youngSpace";

/** Why a job gave nothing. */
export type JobFault =
  /** Too many wait; come again later. */
  | { readonly kind: "busy"; readonly retryAfterS: number }
  /** It ran past its hard end, and its thread was ended. */
  | { readonly kind: "tooLong"; readonly ranMs: number };

/** The two roads: what is asked for a time is not waited for behind what a page needs. */
type Road = "searches" | "plans";
const roadOf: Readonly<Record<JobName, Road>> = {
  layOut: "searches",
  layOutAsText: "searches",
  planCuts: "searches",
  computeYield: "searches",
  improveSchedule: "searches",
  computeReadiness: "searches",
  coolPiece: "searches",
  fry: "searches",
  scaleBake: "searches",
  packCopy: "searches",
  checkPages: "searches",
  openCopy: "searches",
  writeLines: "searches",
  putOutward: "searches",
  setOutward: "searches",
  planDay: "plans",
  packPlan: "plans",
  freezeDay: "plans",
  compareOutlook: "plans",
  retimeRun: "searches",
  writeDayPdf: "plans",
  writeLabelsPdf: "plans",
  writeTemplatePdf: "plans",
  weighDays: "plans",
  loadDays: "plans",
};

/** One core is left for the pages themselves. */
const THREADS_A_ROAD = Math.max(1, Math.floor((availableParallelism() - 1) / 2));
/** So many more may wait, a road. */
const MOST_WAITING = 8;
/** When one who found the road full may come again, s. */
const RETRY_AFTER_S = 5;
/** A plan for a page or a file that is not there by then will not be, ms. */
export const PLAN_END_MS = 30_000;

/** The threads' own programme, bundled by the build. */
const PROGRAMME = path.join(process.cwd(), "build/jobs.mjs");

const holder = globalThis as { tezgahRoads?: Record<Road, ReturnType<typeof createRoad>> };

/** A thread that has planned before plans ten times as fast as a new one: it stays. */
function createRoad() {
  return {
    pool: new Piscina({
      filename: PROGRAMME,
      minThreads: 1,
      maxThreads: THREADS_A_ROAD,
      resourceLimits: widenYoungSpace(),
    }),
    pass: createGate(THREADS_A_ROAD, MOST_WAITING),
  };
}

/**
 * Works something out in a thread of its own.
 * @param endMs - Hard end, ms from when it begins: past it the thread is ended.
 * @throws What the job itself throws.
 */
export async function runJob<N extends JobName>(
  name: N,
  input: JobInput<N>,
  endMs: number,
): Promise<Result<Awaited<JobOutput<N>>, JobFault>> {
  holder.tezgahRoads ??= { searches: createRoad(), plans: createRoad() };
  const { pool, pass } = holder.tezgahRoads[roadOf[name]];
  const signal = { ended: false };
  try {
    return await pass(async () => {
      const ender = new AbortController();
      const timer = setTimeout(() => {
        signal.ended = true;
        ender.abort();
      }, endMs);
      try {
        return ok((await pool.run({ name, input }, { signal: ender.signal })) as Awaited<JobOutput<N>>);
      } finally {
        clearTimeout(timer);
      }
    });
  } catch (error) {
    if (error instanceof GateFull) return fail({ kind: "busy", retryAfterS: RETRY_AFTER_S });
    if (signal.ended) return fail({ kind: "tooLong", ranMs: endMs });
    throw error;
  }
}
