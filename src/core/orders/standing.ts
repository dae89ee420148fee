import { compareNames } from "../compareNames";
import { NEW_ORDER_REST, type Customer, type StandingOrder, type TakenOrder } from "./orders";

/** The day that standing orders are looked up for. */
export interface OrderDay {
  readonly id: string;
  /** Monday 1 to Sunday 7. */
  readonly weekday: number;
  readonly isHoliday: boolean;
}

/**
 * Orders that stand for a day and are not on it yet, the earliest first.
 * @param standing - All that stands. @param taken - What is on the day already.
 * @param createId - For each order.
 */
export function listStandingFor(
  day: OrderDay,
  standing: readonly StandingOrder[],
  customers: readonly Customer[],
  taken: readonly TakenOrder[],
  createId: () => string,
): TakenOrder[] {
  const known = new Set(taken.filter(({ dayId }) => dayId === day.id).map(({ standingId }) => standingId));
  return standing
    .filter(({ id, weekdays }) => weekdays.includes(day.weekday) && !known.has(id))
    .flatMap(({ id, customerId, pieceId, count, holidayCount, dueMin }) => {
      const customer = customers.find((each) => each.id === customerId);
      const wanted = day.isHoliday ? (holidayCount ?? count) : count;
      if (!customer || wanted === 0) return [];
      const order: TakenOrder = {
        ...NEW_ORDER_REST,
        ...{ id: createId(), dayId: day.id, pieceId, count: wanted, dueMin },
        ...{ customer: customer.name, customerId, standingId: id },
      };
      return [order];
    })
    .toSorted((a, b) => a.dueMin - b.dueMin || compareNames(a.customer, b.customer));
}
