"use client";

import { listStandingFor } from "@/core/orders";
import { findWeekday } from "@/core/plan";
import { formatClock, formatCount } from "@/core/units";
import { pickRecords } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { PieceMark } from "../drawings/PieceMark";
import { weekdayNames } from "./weekdays";

/** What stands for this day of the week and has not been taken in yet: all of it with one tap, or as on a holiday. */
export function StandingOffer() {
  const { book, records, isOver, edit } = usePicked("book", "records", "isOver", "edit");
  const weekday = findWeekday(book.day.date);
  const list = (isHoliday: boolean) =>
    listStandingFor(
      { id: book.day.id, weekday, isHoliday },
      pickRecords(records, "standing"),
      pickRecords(records, "customer"),
      book.orders,
      () => createId("order"),
    );
  const [usual, onHoliday] = [list(false), list(true)];
  if (isOver || usual.length === 0) return null;
  const nameOf = (pieceId: string) => book.pieces.find(({ id }) => id === pieceId)?.name ?? "";
  const sum = (orders: typeof usual) => orders.reduce((total, { count }) => total + count, 0);
  const take = (orders: typeof usual) =>
    edit(orders.map((order) => ({ kind: "order", id: order.id, record: order })));
  const isLess = sum(onHoliday) !== sum(usual);
  return (
    <section
      aria-label="Standing orders of this day"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl border-2 border-dashed border-base-300 p-3"
    >
      <div className="min-w-0 grow basis-full sm:basis-0">
        <h2 className="text-lg">Standing orders for a {weekdayNames[weekday - 1]}</h2>
        <ul>
          {usual.map(({ standingId, count, pieceId, customer, dueMin }) => (
            <li key={standingId} className="flex flex-wrap items-center gap-x-1.5">
              <PieceMark pieceId={pieceId} sizePx={28} />
              <strong className="figure">{count}</strong> {nameOf(pieceId)}, {customer},{" "}
              <span className="figure">{formatClock(dueMin)}</span>
            </li>
          ))}
        </ul>
      </div>
      <button type="button" className="btn btn-primary touch" onClick={() => take(usual)}>
        Take in {formatCount(sum(usual), "piece")}
      </button>
      {isLess && onHoliday.length > 0 && (
        <button type="button" className="btn touch" onClick={() => take(onHoliday)}>
          As on a holiday: {sum(onHoliday)}
        </button>
      )}
    </section>
  );
}
