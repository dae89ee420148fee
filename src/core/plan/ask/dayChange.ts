import type { Dough } from "../../formula";
import type { Day, DayBook, Fryer, Order, Oven, Piece, Vessel, Weighing } from "../book";

/** What of the book an answer would change; what is not named stays. */
export interface DayChange {
  readonly day?: Day;
  readonly orders?: readonly Order[];
  readonly pieces?: readonly Piece[];
  readonly doughs?: readonly Dough[];
  readonly weighings?: readonly Weighing[];
  readonly ovens?: readonly Oven[];
  readonly fryers?: readonly Fryer[];
  readonly vessels?: readonly Vessel[];
  /** Ids of orders that are taken off, and of what is thrown out of the larder. */
  readonly goneOrders?: readonly string[];
  readonly goneLarder?: readonly string[];
}

/** The book with an answer taken. */
export function applyDayChange(book: DayBook, change: DayChange): DayBook {
  return {
    ...book,
    day: change.day ?? book.day,
    orders: without(replace(book.orders, change.orders), change.goneOrders),
    pieces: replace(book.pieces, change.pieces),
    formulas: replace(book.formulas, change.doughs),
    weighings: replace(book.weighings, change.weighings),
    ovens: replace(book.ovens, change.ovens),
    fryers: replace(book.fryers, change.fryers),
    vessels: replace(book.vessels, change.vessels),
    larder: without(book.larder, change.goneLarder),
  };
}

interface Kept {
  readonly id: string;
}

function replace<T extends Kept>(all: readonly T[], changed: readonly T[] = []): readonly T[] {
  if (changed.length === 0) return all;
  const byId = new Map(changed.map((each) => [each.id, each]));
  const known = new Set(all.map(({ id }) => id));
  return [...all.map((each) => byId.get(each.id) ?? each), ...changed.filter(({ id }) => !known.has(id))];
}

const without = <T extends Kept>(all: readonly T[], ids: readonly string[] = []): readonly T[] =>
  ids.length === 0 ? all : all.filter(({ id }) => !ids.includes(id));
