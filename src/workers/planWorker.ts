import { expose } from "comlink";
import {
  answerAhead,
  answerDay,
  compareVariants,
  planDay,
  weighChoices,
  type AheadAnswers,
  type Choice,
  type DayAnswers,
  type DayBook,
  type DayFigures,
  type DayPlan,
  type Piece,
  type VariantFigures,
} from "@/core/plan";
import { searchSchedule, type Improvement, type ScheduleProblem } from "@/core/schedule";
import { createRandom } from "@/core/seededRandom";

/** What a piece's schools are weighed on. */
export interface ChoicesRequest {
  readonly book: DayBook;
  readonly pieceId: string;
  readonly choices: readonly Choice[];
}

export interface SearchRequest {
  readonly problem: ScheduleProblem;
  readonly budgetMs: number;
}

export interface VariantsRequest {
  readonly book: DayBook;
  readonly variants: readonly Piece[];
  readonly count: number;
}

export interface AheadRequest {
  readonly book: DayBook;
  /** The day before; null if there is none. */
  readonly eve: DayBook | null;
}

/** Between two reports the search lets messages in, ms: a stop is heard as soon. */
const REPORT_EVERY_MS = 120;
/** The same search for the same day. */
const SEED = 1;

let stopped = false;

const api = {
  plan: (book: DayBook): DayPlan => planDay(book),
  weighChoices: ({ book, pieceId, choices }: ChoicesRequest): DayFigures[] =>
    weighChoices(book, pieceId, choices),
  compareVariants: ({ book, variants, count }: VariantsRequest): VariantFigures[] =>
    compareVariants(book, variants, count),
  answerDay: (book: DayBook): DayAnswers => answerDay(book),
  answerAhead: ({ book, eve }: AheadRequest): AheadAnswers => answerAhead(book, eve),
  /** Searches a better order of the day until the budget is spent, it is proven best, or it is stopped. */
  async searchDay(
    { problem, budgetMs }: SearchRequest,
    report: (improvement: Improvement) => void,
  ): Promise<Improvement> {
    stopped = false;
    const endMs = performance.now() + budgetMs;
    let reportedMs = performance.now();
    const turns = searchSchedule(problem, createRandom(SEED));
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

export type PlanWorkerApi = typeof api;

expose(api);
