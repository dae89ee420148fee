import { wrap } from "comlink";
import type { DayBook, DayPlan } from "@/core/plan";
import { createLatestClient, type LatestClient } from "./createLatestClient";
import type { PlanWorkerApi } from "./planWorker";

export type PlanClient = LatestClient<DayBook, DayPlan>;

/** The browser's planner. */
export function createPlanClient(): PlanClient {
  const worker = new Worker(new URL("./planWorker.ts", import.meta.url), { type: "module" });
  const remote = wrap<PlanWorkerApi>(worker);
  return createLatestClient(worker, remote, (book) => remote.plan(book));
}
