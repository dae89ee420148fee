import { because } from "../../result";
import type { DayBook } from "../book";
import { toProblem, type Problem } from "../problem";

/** Orders whose promise has passed. */
export function findPastPromises({ orders, nowMin, pieces }: DayBook): Problem[] {
  if (nowMin === null) return [];
  return orders
    .filter(({ dueMin }) => dueMin <= nowMin)
    .map(({ id, dueMin, pieceId, count }) => {
      const piece = pieces.find(({ id }) => id === pieceId)?.name ?? "";
      const past = because("pastPromise", { piece, count, dueMin, pastMin: nowMin - dueMin });
      return toProblem(past, { station: "orders", pieceId, aboutId: id });
    });
}
