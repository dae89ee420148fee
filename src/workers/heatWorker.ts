import { expose } from "comlink";
import { computeReadiness, type Readiness, type ReadinessRequest } from "@/core/heat";

const api = {
  computeReadiness: (request: ReadinessRequest): Readiness => computeReadiness(request),
};

export type HeatWorkerApi = typeof api;

expose(api);
