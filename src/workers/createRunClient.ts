import { wrap } from "comlink";
import type { RunSheet } from "@/core/run";
import { createLatestClient, type LatestClient } from "./createLatestClient";
import type { RunAnswer, RunQuestion, RunWorkerApi } from "./runWorker";

/** A question about a run; its sheet is told to the worker only when it is another. */
export interface RunInput extends RunQuestion {
  readonly sheet: RunSheet;
}
export type RunClient = LatestClient<RunInput, RunAnswer>;
export type { RunAnswer, Whose } from "./runWorker";

/** The browser's re-planner of a running day, in a worker of its own. */
export function createRunClient(): RunClient {
  const worker = new Worker(new URL("./runWorker.ts", import.meta.url), { type: "module" });
  const remote = wrap<RunWorkerApi>(worker);
  let told: RunSheet | null = null;
  return createLatestClient(worker, remote, async ({ sheet, ...question }: RunInput) => {
    if (told !== sheet) await remote.openRun(sheet);
    told = sheet;
    return remote.answerRun(question);
  });
}
