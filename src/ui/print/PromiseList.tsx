import { groupOrders } from "@/core/orders";
import type { DayPlan } from "@/core/plan";
import { formatClock } from "@/core/units";
import type { DayBook } from "@/schemas/model";

interface Props {
  readonly book: DayBook;
  readonly plan: DayPlan;
}

/** What is promised to whom and when, the earliest first, each with a box to tick as it is handed over. */
export function PromiseList({ book, plan }: Props) {
  const groups = groupOrders(book.orders);
  if (groups.length === 0) return null;
  const nameOf = new Map(book.pieces.map(({ id, name }) => [id, name]));
  const readyOf = (pieceId: string, orderId: string) =>
    plan.lines.find(({ piece }) => piece.id === pieceId)?.readyMin[orderId] ?? null;
  return (
    <section aria-labelledby="promised" className="mt-1">
      <h2 id="promised">Promised</h2>
      <ul className="sheet-columns">
        {groups.map(({ customer, dueMin, orders, isHandedOver }) => (
          <li
            key={orders[0]?.id}
            className="flex break-inside-avoid gap-2 border-b border-dotted border-black"
          >
            <span>{isHandedOver ? "☑" : "☐"}</span>
            <strong className="figure sheet-time">{formatClock(dueMin)}</strong>
            <span className="min-w-0 flex-1">
              <strong>{customer || "no name"}</strong>:{" "}
              {orders
                .map(({ id, count, pieceId }) => {
                  const readyMin = readyOf(pieceId, id);
                  const ready = readyMin === null ? "" : `, ready ${formatClock(readyMin)}`;
                  return `${count} ${nameOf.get(pieceId) ?? ""}${ready}`;
                })
                .join("; ")}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
