import { proxy, type Remote } from "comlink";
import type {
  LaidParts,
  PartsRequest,
  TightProgress,
  YieldTable,
  YieldTableRequest,
  PartsFailure,
} from "@/core/cutting";
import type { Result } from "@/core/result";
import { createLatestClient, type LatestClient } from "./createLatestClient";
import type { CutWorkerApi } from "./cutWorker";

const startWorker = () => new Worker(new URL("./cutWorker.ts", import.meta.url), { type: "module" });

/** Counts by cutter and thickness, off the main thread. */
export function createYieldClient(): LatestClient<YieldTableRequest, YieldTable> {
  return createLatestClient(
    startWorker,
    (remote: Remote<CutWorkerApi>) => (request) => remote.tabulateYield(request),
  );
}

/** One sheet laid out, off the main thread. */
export function createPartsClient(): LatestClient<PartsRequest, Result<LaidParts, PartsFailure>> {
  return createLatestClient(
    startWorker,
    (remote: Remote<CutWorkerApi>) => async (request) => await remote.layOutParts(request),
  );
}

export interface TightClient {
  /** Searches for `budgetMs`, reporting as it goes; gives the best found. Rejects if the worker fails or is closed. */
  search(
    request: PartsRequest,
    budgetMs: number,
    report: (progress: TightProgress) => void,
  ): Promise<TightProgress | null>;
  /** Ends the running search, which then gives its best. */
  stop(): void;
  close(): void;
}

/** The tight search in a worker of its own. */
export function createTightClient(): TightClient {
  let tell: (progress: TightProgress) => void = () => {};
  let stop: () => void = () => {};
  const client = createLatestClient(startWorker, (remote: Remote<CutWorkerApi>) => {
    stop = () => void remote.stop();
    return ([request, budgetMs]: [PartsRequest, number]) =>
      remote.searchTight(
        request,
        budgetMs,
        proxy((progress: TightProgress) => tell(progress)),
      );
  });
  return {
    search(request, budgetMs, report) {
      tell = report;
      return client.run([request, budgetMs]);
    },
    stop: () => stop(),
    close: client.close,
  };
}
