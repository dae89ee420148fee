import { groupOrders } from "@/core/orders";
import { formatClock } from "@/core/units";
import type { DayBook } from "@/schemas/model";
import { writeCsv } from "./writeCsv";

/** The day's orders, one a row, as they are come for; brought back as a list of orders they are the same. */
export function toOrdersCsv({ orders, pieces }: Pick<DayBook, "orders" | "pieces">): string {
  const nameOf = new Map(pieces.map(({ id, name }) => [id, name]));
  const rows = groupOrders(orders).flatMap((group) =>
    group.orders.map(({ customer, pieceId, count, dueMin, handedMin }) => ({
      customer,
      piece: nameOf.get(pieceId) ?? "",
      count,
      time: formatClock(dueMin),
      "handed over": handedMin === null ? "" : formatClock(handedMin),
    })),
  );
  return writeCsv(rows, ["customer", "piece", "count", "time", "handed over"]);
}

/** What lies in the larder on a day, one item a row, what is to be used first on top. Masses in g. */
export function toLarderCsv({
  larder,
  formulas,
  pieces,
}: Pick<DayBook, "larder" | "formulas" | "pieces">): string {
  const nameOf = new Map([...formulas, ...pieces].map(({ id, name }) => [id, name]));
  const rows = larder
    .filter(({ takenByDayId }) => takenByDayId === null)
    .toSorted((a, b) => (a.useBy < b.useBy ? -1 : 1))
    .map(({ kind, refId, massG, count, madeOn, useBy }) => ({
      what: nameOf.get(refId) ?? "",
      kind,
      "mass g": massG === 0 ? "" : Math.round(massG),
      count: count === 0 ? "" : count,
      made: madeOn,
      "use by": useBy,
    }));
  return writeCsv(rows, ["what", "kind", "mass g", "count", "made", "use by"]);
}
