import { compareNames } from "../compareNames";
import type { Order } from "../plan";

/** Who orders, and how to reach them. */
export interface Customer {
  readonly id: string;
  readonly name: string;
  /** A telephone number, a door, a word on how they like it; may be empty. */
  readonly contact: string;
  /** When they usually come, minutes after midnight; null if it differs. */
  readonly usualMin: number | null;
}

/** What a customer has on certain days of the week without asking each time. */
export interface StandingOrder {
  readonly id: string;
  readonly customerId: string;
  readonly pieceId: string;
  readonly count: number;
  /** How many on a holiday, 0 for none; null if a holiday is a day like any other. */
  readonly holidayCount: number | null;
  readonly dueMin: number;
  /** Days of the week, Monday 1 to Sunday 7, rising. */
  readonly weekdays: readonly number[];
}

/** An order as it is taken: what a day is planned from, and who it is for. Its `customer` is the name that was given. */
export interface TakenOrder extends Order {
  /** Null for one who came by. */
  readonly customerId: string | null;
  /** The standing order that it was taken from. */
  readonly standingId: string | null;
  /** When it was handed over, minutes after midnight; null while it waits. */
  readonly handedMin: number | null;
}

/** What a new order has until somebody says more. */
export const NEW_ORDER_REST = { customerId: null, standingId: null, handedMin: null } as const;

/** Orders that one customer comes for at one time. */
export interface OrderGroup {
  readonly customer: string;
  readonly customerId: string | null;
  readonly dueMin: number;
  readonly orders: readonly TakenOrder[];
  readonly isHandedOver: boolean;
}

/** The orders of a day as they are come for: by time, then by name; those without a name stand together. */
export function groupOrders(orders: readonly TakenOrder[]): OrderGroup[] {
  const groups = new Map<string, TakenOrder[]>();
  for (const order of orders) {
    const key = JSON.stringify([order.dueMin, order.customerId ?? order.customer]);
    groups.set(key, [...(groups.get(key) ?? []), order]);
  }
  return [...groups.values()]
    .flatMap((members) => {
      const [first] = members;
      if (!first) return [];
      const { customer, customerId, dueMin } = first;
      const isHandedOver = members.every(({ handedMin }) => handedMin !== null);
      return [{ customer, customerId, dueMin, orders: members, isHandedOver }];
    })
    .toSorted((a, b) => a.dueMin - b.dueMin || compareNames(a.customer, b.customer));
}
