import { expose } from "comlink";
import {
  compareVariants,
  planDay,
  weighChoices,
  type Choice,
  type DayBook,
  type DayFigures,
  type DayPlan,
  type Piece,
  type VariantFigures,
} from "@/core/plan";

/** What a piece's schools are weighed on. */
export interface ChoicesRequest {
  readonly book: DayBook;
  readonly pieceId: string;
  readonly choices: readonly Choice[];
}

export interface VariantsRequest {
  readonly book: DayBook;
  readonly variants: readonly Piece[];
  readonly count: number;
}

const api = {
  plan: (book: DayBook): DayPlan => planDay(book),
  weighChoices: ({ book, pieceId, choices }: ChoicesRequest): DayFigures[] =>
    weighChoices(book, pieceId, choices),
  compareVariants: ({ book, variants, count }: VariantsRequest): VariantFigures[] =>
    compareVariants(book, variants, count),
};

export type PlanWorkerApi = typeof api;

expose(api);
