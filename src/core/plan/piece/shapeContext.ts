import type { Formula } from "../../formula";
import { createRecordMemory } from "../../createMemory";
import { findHoldHabit, gatherHolds, type HoldHabit, type LotOutcome, type PastLog } from "../../habits";
import type { DayBook, Kitchen } from "../book";

/** What surrounds a piece as it is made: the fillings there are, the room, and what the log says. */
export interface ShapeContext {
  readonly formulas: readonly Formula[];
  readonly kitchen: Kitchen;
  readonly lots: readonly (LotOutcome & { readonly pieceId: string })[];
  readonly past: PastLog;
  /** What all leaks that were counted say of this baker's hands. */
  readonly holdHabit: HoldHabit;
}

const remember = createRecordMemory<PastLog, HoldHabit>();

/** As much of a day's book as a piece is shaped by. */
export const toShapeContext = ({
  formulas,
  kitchen,
  lotRecords,
  past,
}: Pick<DayBook, "formulas" | "kitchen" | "lotRecords" | "past">): ShapeContext => ({
  formulas,
  kitchen,
  lots: lotRecords,
  past,
  holdHabit: remember(past, lotRecords, () => findHoldHabit(gatherHolds(past, lotRecords))),
});
