import { wrap } from "comlink";
import type { Readiness, ReadinessRequest } from "@/core/heat";
import { createLatestClient, type LatestClient } from "./createLatestClient";
import type { HeatWorkerApi } from "./heatWorker";

export type HeatClient = LatestClient<ReadinessRequest, Readiness>;

/** Conduction in the browser, in a worker of its own: the planner stays free. */
export function createHeatClient(): HeatClient {
  const worker = new Worker(new URL("./heatWorker.ts", import.meta.url), { type: "module" });
  const remote = wrap<HeatWorkerApi>(worker);
  return createLatestClient(worker, remote, (request) => remote.computeReadiness(request));
}
