import { NO_PAST, type PastLog } from "@/core/plan";
import type { LaidTask } from "@/core/schedule";
import { firstKitchen } from "./firstKitchen";
import type { DayBook, Formula, Order } from "./model";
import { findRecord, pickRecords, type RecordTable } from "./recordTable";

/** What a day's plan rests on beside its records. */
export interface DayGround {
  /** For a day that is over: the formulas as they stood then; they stand before today's. */
  readonly formulasThen: readonly Formula[];
  /** The log but for this day's own, as sums. */
  readonly past: PastLog;
  /** The order that a day was run in, once it is closed: it opens as it was, whatever the hour. */
  readonly closed: ClosedDay | null;
}

/** A day that was run and closed. */
export interface ClosedDay {
  readonly laid: readonly LaidTask[];
}

const BARE_GROUND: DayGround = { formulasThen: [], past: NO_PAST, closed: null };

/**
 * The document a day is planned from.
 * @param date - YYYY-MM-DD. @param nowMin - Minutes after that date's midnight, null when planning ahead.
 * @returns null if the date has no day or no bench is set up.
 */
export function toDayBook(
  table: RecordTable,
  date: string,
  nowMin: number | null,
  { formulasThen, past, closed }: DayGround = BARE_GROUND,
): DayBook | null {
  const day = pickRecords(table, "day").find((candidate) => candidate.date === date);
  const [bench] = pickRecords(table, "bench");
  if (!day || !bench) return null;
  const formulas = pickRecords(table, "formula");
  return {
    day: closed ? { ...day, laid: closed.laid } : day,
    orders: pickRecords(table, "order")
      .filter(({ dayId }) => dayId === day.id)
      .map((order) => nameCustomer(order, table)),
    pieces: pickRecords(table, "piece"),
    formulas:
      formulasThen.length === 0
        ? formulas
        : formulas.map((formula) => formulasThen.find(({ id }) => id === formula.id) ?? formula),
    bench,
    ovens: pickRecords(table, "oven"),
    cutters: pickRecords(table, "cutter"),
    vessels: pickRecords(table, "vessel"),
    shelves: pickRecords(table, "shelf"),
    fryers: pickRecords(table, "fryer"),
    kitchen: pickRecords(table, "kitchen")[0] ?? firstKitchen,
    ingredients: pickRecords(table, "ingredient"),
    larder: pickRecords(table, "larder"),
    ahead: pickRecords(table, "ahead").filter(({ dayId, forDate }) => dayId === day.id || forDate === date),
    weighings: pickRecords(table, "weighing"),
    cutRecords: pickRecords(table, "cutRecord"),
    lotRecords: pickRecords(table, "lotRecord"),
    past,
    ...(closed ? { nowMin: null, isClosed: true } : { nowMin }),
  };
}

/** A customer who has another name now has it on every order. */
function nameCustomer(order: Order, table: RecordTable): Order {
  const customer = order.customerId === null ? null : findRecord(table, "customer", order.customerId);
  return customer && customer.name !== order.customer ? { ...order, customer: customer.name } : order;
}
