import type { Formula } from "../../formula";
import type { LotOutcome, PastLog } from "../../habits";
import type { DayBook, Kitchen } from "../book/book";

/** What surrounds a piece as it is made: the fillings there are, the room, and what the log says. */
export interface ShapeContext {
  readonly formulas: readonly Formula[];
  readonly kitchen: Kitchen;
  readonly lots: readonly (LotOutcome & { readonly pieceId: string })[];
  readonly past: PastLog;
}

export const toShapeContext = ({ formulas, kitchen, lotRecords, past }: DayBook): ShapeContext => ({
  formulas,
  kitchen,
  lots: lotRecords,
  past,
});
