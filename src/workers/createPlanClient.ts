import { releaseProxy, wrap, type Remote } from "comlink";
import type { DayBook, DayPlan } from "@/core/plan";
import type { PlanWorkerApi } from "./planWorker";

export interface PlanClient {
  /** Plans off the main thread. Only the newest of waiting books is planned: older calls give null. */
  plan(book: DayBook): Promise<DayPlan | null>;
  /** Ends the worker; whatever waits is rejected. */
  close(): void;
}

/** The browser's planner. Every call settles, also when the worker fails or is closed. */
export function createPlanClient(): PlanClient {
  const worker = new Worker(new URL("./planWorker.ts", import.meta.url), { type: "module" });
  const remote: Remote<PlanWorkerApi> = wrap<PlanWorkerApi>(worker);
  let abandon: (reason: Error) => void = () => {};
  const abandoned = new Promise<never>((_, reject) => {
    abandon = reject;
  });
  abandoned.catch(() => {}); // settled here too, so that closing an idle client is silent
  worker.onerror = ({ message }) => abandon(new Error(`The planner failed: ${message}`));
  worker.onmessageerror = () => abandon(new Error("The planner sent something unreadable."));

  let running = false;
  let next: { book: DayBook; settle: (plan: Promise<DayPlan> | null) => void } | null = null;

  function start(book: DayBook): Promise<DayPlan> {
    running = true;
    return Promise.race([remote.plan(book), abandoned]).finally(() => {
      running = false;
      const waiting = next;
      next = null;
      waiting?.settle(start(waiting.book));
    });
  }
  return {
    plan(book) {
      if (!running) return start(book);
      next?.settle(null);
      return new Promise((resolve) => {
        next = { book, settle: resolve };
      });
    },
    close() {
      abandon(new Error("The planner was closed."));
      remote[releaseProxy]();
      worker.terminate();
    },
  };
}
