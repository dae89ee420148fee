import type { Remote } from "comlink";
import type { RunMend, RunSheet } from "@/core/run";
import { createLatestClient, type LatestClient } from "./createLatestClient";
import type { RunAnswer, RunQuestion, RunWorkerApi } from "./runWorker";

/** A question about a run; its sheet is told to the worker only when it is another. */
export interface RunInput extends RunQuestion {
  readonly sheet: RunSheet;
}
export type RunClient = LatestClient<RunInput, RunAnswer>;
export type { RunAnswer, Whose } from "./runWorker";

/** The browser's re-planner of a running day, in a worker of its own. */
export const createRunClient = (): RunClient =>
  createClient((remote, question) => remote.answerRun(question));

/** Looks for what would help, in a worker of its own: taps are answered meanwhile. */
export const createMendClient = (): LatestClient<RunInput, RunMend[]> =>
  createClient((remote, question) => remote.mendRun(question));

const startWorker = () => new Worker(new URL("./runWorker.ts", import.meta.url), { type: "module" });

function createClient<Out>(
  call: (remote: Remote<RunWorkerApi>, question: RunQuestion) => Promise<Out>,
): LatestClient<RunInput, Out> {
  return createLatestClient(startWorker, (remote: Remote<RunWorkerApi>) => {
    let told: RunSheet | null = null;
    return async ({ sheet, ...question }: RunInput) => {
      if (told !== sheet) await remote.openRun(sheet);
      told = sheet;
      return call(remote, question);
    };
  });
}
