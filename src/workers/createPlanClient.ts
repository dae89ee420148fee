import { proxy, type Remote } from "comlink";
import type {
  AheadAnswers,
  BatchFailure,
  DayAnswers,
  DayBook,
  DayFigures,
  DayPlan,
  DividedBatch,
  PieceMend,
  VariantFigures,
} from "@/core/plan";
import type { Result } from "@/core/result";
import type { Improvement } from "@/core/schedule";
import { diffTables, toLists, type RecordTable } from "@/schemas/recordTable";
import type { DayGround } from "@/schemas/toDayBook";
import { createLatestClient, type LatestClient } from "./createLatestClient";
import { applyPatch, type Patch } from "./patch";
import type {
  AheadRequest,
  ChoicesRequest,
  DivisionRequest,
  MendsRequest,
  PlanWorkerApi,
  SearchRequest,
  VariantsRequest,
} from "./planWorker";

/** A day as a screen holds it. */
export interface DayInput {
  readonly date: string;
  readonly table: RecordTable;
  readonly nowMin: number | null;
  readonly ground: DayGround;
  /** The plan that the screen has; null if it has none. */
  readonly shown: DayPlan | null;
}

export type PlanClient = LatestClient<DayInput, DayPlan | null>;
export type { AheadRequest, ChoicesRequest, DivisionRequest, MendsRequest, VariantsRequest };

const startWorker = () => new Worker(new URL("./planWorker.ts", import.meta.url), { type: "module" });

/** The browser's planner: its worker is told the day whole once, and then only what changes. */
export function createPlanClient(): PlanClient {
  return createLatestClient(startWorker, (remote: Remote<PlanWorkerApi>) => {
    let told: DayInput | null = null;
    /** The last plan that came: what comes next is told by what it changes. */
    let plan: DayPlan | null = null;
    return async (input: DayInput) => {
      const { date, table, nowMin, ground } = input;
      const before = told;
      told = input;
      // The worker begins from it too, and has it still should its plan fail.
      if (!before) plan = input.shown;
      const shown = plan;
      const patch =
        before?.date === date && before.ground === ground
          ? (JSON.parse(await remote.changeDay({ edits: diffTables(before.table, table), nowMin })) as Patch)
          : await remote.openDay({ date, lists: toLists(table), ground, nowMin, shown });
      return (plan = applyPatch(shown, patch) as DayPlan | null);
    };
  });
}

/** Weighs choices by planning the day with each, in a worker of its own: edits are planned meanwhile. */
export function createChoicesClient(): LatestClient<ChoicesRequest, DayFigures[]> {
  return createLatestClient(
    startWorker,
    (remote: Remote<PlanWorkerApi>) => (request) => remote.weighChoices(request),
  );
}

/** Variants of a piece side by side, likewise. */
export function createVariantsClient(): LatestClient<VariantsRequest, VariantFigures[]> {
  return createLatestClient(
    startWorker,
    (remote: Remote<PlanWorkerApi>) => (request) => remote.compareVariants(request),
  );
}

/** What-ifs of a day, and what would mend it if it is late. */
export function createAnswersClient(): LatestClient<DayBook, DayAnswers> {
  return createLatestClient(
    startWorker,
    (remote: Remote<PlanWorkerApi>) => (book) => remote.answerDay({ book }),
  );
}

/** What could be made the day before. */
export function createAheadClient(): LatestClient<AheadRequest, AheadAnswers> {
  return createLatestClient(
    startWorker,
    (remote: Remote<PlanWorkerApi>) => (request) => remote.answerAhead(request),
  );
}

/** What would make a piece that cannot be made. */
export function createMendsClient(): LatestClient<MendsRequest, PieceMend[]> {
  return createLatestClient(
    startWorker,
    (remote: Remote<PlanWorkerApi>) => (request) => remote.listMends(request),
  );
}

/** A batch divided into pieces. */
export function createDivisionClient(): LatestClient<DivisionRequest, Result<DividedBatch, BatchFailure>> {
  return createLatestClient(
    startWorker,
    (remote: Remote<PlanWorkerApi>) => async (request) => await remote.divideBatch(request),
  );
}

export interface SearchClient {
  /** Searches for the budget, reporting as it goes; gives the best found. Rejects if the worker fails or is closed. */
  search(request: SearchRequest, report: (improvement: Improvement) => void): Promise<Improvement | null>;
  /** Ends the running search, which then gives its best. */
  stop(): void;
  close(): void;
}

/** The search for a better order of the day, in a worker of its own. */
export function createSearchClient(): SearchClient {
  let tell: (improvement: Improvement) => void = () => {};
  let stop: () => void = () => {};
  const client = createLatestClient(startWorker, (remote: Remote<PlanWorkerApi>) => {
    stop = () => void remote.stop();
    return (request: SearchRequest) =>
      remote.searchDay(
        request,
        proxy((improvement: Improvement) => tell(improvement)),
      );
  });
  return {
    search(request, report) {
      tell = report;
      return client.run(request);
    },
    stop: () => stop(),
    close: client.close,
  };
}
