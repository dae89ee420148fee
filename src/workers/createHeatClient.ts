import { wrap } from "comlink";
import type {
  BakeScale,
  BakeFailure,
  Cooling,
  CoolingRequest,
  PieceChill,
  PieceChillRequest,
  Readiness,
  ReadinessRequest,
} from "@/core/heat";
import type { Result } from "@/core/result";
import { createLatestClient, type LatestClient } from "./createLatestClient";
import type { BakeRequest, HeatWorkerApi } from "./heatWorker";

export type HeatClient = LatestClient<ReadinessRequest, Readiness>;

const startWorker = () => new Worker(new URL("./heatWorker.ts", import.meta.url), { type: "module" });

/** Conduction in the browser, in a worker of its own: the planner stays free. */
export function createHeatClient(): HeatClient {
  const worker = startWorker();
  const remote = wrap<HeatWorkerApi>(worker);
  return createLatestClient(worker, remote, (request) => remote.computeReadiness(request));
}

/** Another bake from a known one, likewise. */
export function createBakeClient(): LatestClient<BakeRequest, Result<BakeScale, BakeFailure>> {
  const worker = startWorker();
  const remote = wrap<HeatWorkerApi>(worker);
  return createLatestClient(worker, remote, async (request) => await remote.scaleBake(request));
}

/** How a warm piece cools, likewise. */
export function createCoolingClient(): LatestClient<CoolingRequest, Cooling> {
  const worker = startWorker();
  const remote = wrap<HeatWorkerApi>(worker);
  return createLatestClient(worker, remote, (request) => remote.coolPiece(request));
}

/** A finished piece in the cold, likewise. */
export function createChillClient(): LatestClient<PieceChillRequest, PieceChill> {
  const worker = startWorker();
  const remote = wrap<HeatWorkerApi>(worker);
  return createLatestClient(worker, remote, (request) => remote.chillPiece(request));
}
