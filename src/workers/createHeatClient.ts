import type { Remote } from "comlink";
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
  return createLatestClient(
    startWorker,
    (remote: Remote<HeatWorkerApi>) => (request) => remote.computeReadiness(request),
  );
}

/** Another bake from a known one, likewise. */
export function createBakeClient(): LatestClient<BakeRequest, Result<BakeScale, BakeFailure>> {
  return createLatestClient(
    startWorker,
    (remote: Remote<HeatWorkerApi>) => async (request) => await remote.scaleBake(request),
  );
}

/** How a warm piece cools, likewise. */
export function createCoolingClient(): LatestClient<CoolingRequest, Cooling> {
  return createLatestClient(
    startWorker,
    (remote: Remote<HeatWorkerApi>) => (request) => remote.coolPiece(request),
  );
}

/** A finished piece in the cold, likewise. */
export function createChillClient(): LatestClient<PieceChillRequest, PieceChill> {
  return createLatestClient(
    startWorker,
    (remote: Remote<HeatWorkerApi>) => (request) => remote.chillPiece(request),
  );
}
