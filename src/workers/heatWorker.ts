import { expose } from "comlink";
import {
  chillPiece,
  computeReadiness,
  coolPiece,
  scaleBake,
  type BakeAir,
  type Baked,
  type BakeScale,
  type BakeFailure,
  type Cooling,
  type CoolingRequest,
  type KnownBake,
  type PieceChill,
  type PieceChillRequest,
  type Readiness,
  type ReadinessRequest,
} from "@/core/heat";
import type { Result } from "@/core/result";

/** A bake that is known and another to be reckoned from it. */
export interface BakeRequest {
  readonly known: KnownBake;
  readonly other: Baked & { readonly air: readonly BakeAir[]; readonly doneC: number };
}

const api = {
  computeReadiness: (request: ReadinessRequest): Readiness => computeReadiness(request),
  scaleBake: ({ known, other }: BakeRequest): Result<BakeScale, BakeFailure> => scaleBake(known, other),
  chillPiece: (request: PieceChillRequest): PieceChill => chillPiece(request),
  coolPiece: (request: CoolingRequest): Cooling => coolPiece(request),
};

export type HeatWorkerApi = typeof api;

expose(api);
