import { formatClock, formatDuration } from "../../units";
import type { Problem } from "../result/problem";
import type { DayBook } from "../book/book";

/** Orders whose promise has passed. */
export function findPastPromises({ orders, nowMin, pieces }: DayBook): Problem[] {
  if (nowMin === null) return [];
  return orders
    .filter(({ dueMin }) => dueMin <= nowMin)
    .map(({ dueMin, pieceId, count }) => ({
      station: "orders" as const,
      pieceId,
      code: "pastPromise" as const,
      stops: false,
      numbers: { count, dueMin, pastMin: nowMin - dueMin },
      message:
        `${count} ${pieces.find(({ id }) => id === pieceId)?.name ?? ""} for ${formatClock(dueMin)}: that was ` +
        `${formatDuration(nowMin - dueMin)} ago.`,
      remedy: "Move the promise or take the order off.",
    }));
}
