import { wrap } from "comlink";
import type { DayBook, DayFigures, DayPlan, VariantFigures } from "@/core/plan";
import { createLatestClient, type LatestClient } from "./createLatestClient";
import type { ChoicesRequest, PlanWorkerApi, VariantsRequest } from "./planWorker";

export type PlanClient = LatestClient<DayBook, DayPlan>;
export type { ChoicesRequest, VariantsRequest };

const startWorker = () => new Worker(new URL("./planWorker.ts", import.meta.url), { type: "module" });

/** The browser's planner. */
export function createPlanClient(): PlanClient {
  const worker = startWorker();
  const remote = wrap<PlanWorkerApi>(worker);
  return createLatestClient(worker, remote, (book) => remote.plan(book));
}

/** Weighs choices by planning the day with each, in a worker of its own: edits are planned meanwhile. */
export function createChoicesClient(): LatestClient<ChoicesRequest, DayFigures[]> {
  const worker = startWorker();
  const remote = wrap<PlanWorkerApi>(worker);
  return createLatestClient(worker, remote, (request) => remote.weighChoices(request));
}

/** Variants of a piece side by side, likewise. */
export function createVariantsClient(): LatestClient<VariantsRequest, VariantFigures[]> {
  const worker = startWorker();
  const remote = wrap<PlanWorkerApi>(worker);
  return createLatestClient(worker, remote, (request) => remote.compareVariants(request));
}
