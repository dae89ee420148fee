import type { Dough, Filling } from "../../formula";
import type { Order } from "../book";
import type { PiecePlan } from "./dayPlan";

/** A piece of the day with the formulas it is made of. */
export interface PieceWork {
  readonly line: PiecePlan;
  readonly dough: Dough;
  /** The main one. */
  readonly filling: Filling;
  /** All that go into it, the main one included. */
  readonly fillings: readonly Filling[];
}

/** The orders of one piece in the order in which they are made. */
export function sortByPromise(orders: readonly Order[]): Order[] {
  return [...orders].sort((a, b) => a.dueMin - b.dueMin);
}
