import { expose } from "comlink";
import { Budget } from "@/core/budget";
import {
  layOutParts,
  searchTight,
  tabulateYield,
  type LaidParts,
  type PartsRequest,
  type TightProgress,
  type YieldTable,
  type YieldTableRequest,
  type PartsFailure,
} from "@/core/cutting";
import type { Result } from "@/core/result";

/** Between two reports the search lets messages in, ms: a stop is heard as soon. */
const REPORT_EVERY_MS = 80;

let stopped = false;

const api = {
  tabulateYield: (request: YieldTableRequest): YieldTable => tabulateYield(request),
  layOutParts: (request: PartsRequest): Result<LaidParts, PartsFailure> => layOutParts(request),
  /** Searches until the budget is spent, the bound is reached, or it is stopped; gives the best there is then. */
  async searchTight(
    request: PartsRequest,
    budgetMs: number,
    report: (progress: TightProgress) => void,
  ): Promise<TightProgress> {
    stopped = false;
    const endMs = performance.now() + budgetMs;
    let reportedMs = performance.now();
    // The rows it begins with are of its time.
    const rows = layOutParts(request, new Budget(() => performance.now() >= endMs));
    const turns = searchTight(request, rows.ok ? rows.value : undefined);
    for (;;) {
      const { value, done } = turns.next();
      const nowMs = performance.now();
      if (done || stopped || nowMs >= endMs) return value;
      if (nowMs - reportedMs < REPORT_EVERY_MS) continue;
      reportedMs = nowMs;
      report(value);
      await new Promise((resolve) => setTimeout(resolve, 0));
    }
  },
  stop: (): void => {
    stopped = true;
  },
};

export type CutWorkerApi = typeof api;

expose(api);
