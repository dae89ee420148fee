"use client";

import { useEffect, useState } from "react";
import type { TakenOrder } from "@/core/orders";
import type { Piece } from "@/core/plan";
import type { OrderRow } from "@/formats/readOrders";
import { formatClock, formatCount } from "@/core/units";
import { MAX_PASTE_CHARACTERS, orderLimits } from "@/schemas/limits";
import { pickRecords } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { StationLayout } from "../controls/StationLayout";
import { useDraft } from "../controls/useDraft";

const EXAMPLE = "Ferry kiosk, Plum pop, 12, 10:30";

/** Orders from a table or a letter: each row read by itself, what cannot be is said, the rest is taken in. */
export function BringOrdersPage() {
  const { book, records, edit } = usePicked("book", "records", "edit");
  const [text, setText] = useDraft("orders");
  const [found, setRows] = useState<readonly OrderRow[]>([]);
  const isEmpty = text.trim() === "";
  const rows = isEmpty ? [] : found;
  useEffect(() => {
    if (isEmpty) return;
    let gone = false;
    void import("@/formats/readOrders").then(({ readOrders }) => {
      if (gone) return;
      setRows(
        readOrders(text.slice(0, MAX_PASTE_CHARACTERS), {
          dayId: book.day.id,
          pieces: book.pieces,
          customers: pickRecords(records, "customer"),
          maxCount: orderLimits.count.max,
          createId: () => createId("order"),
        }),
      );
    });
    return () => {
      gone = true;
    };
  }, [text, isEmpty, book.day.id, book.pieces, records]);
  const good = rows.flatMap(({ read }) => (read.ok ? [read.value] : []));
  const take = async () => {
    edit(good.map((order) => ({ kind: "order", id: order.id, record: order })));
    const { leaveOutRows } = await import("@/formats/readOrders");
    const taken = rows.filter(({ read }) => read.ok);
    setText(taken.length === rows.length ? "" : leaveOutRows(text, new Set(taken.map(({ row }) => row))));
  };
  const over = text.length - MAX_PASTE_CHARACTERS;
  return (
    <StationLayout
      label="A list of orders"
      surface={
        <div className="flex max-w-3xl flex-col gap-3">
          <h2 className="text-2xl">Bring a list of orders</h2>
          <label htmlFor="order-list">
            A row an order: customer, piece, count, time. A head may say another order of columns; without a
            time it is for when the customer usually comes.
          </label>
          <textarea
            id="order-list"
            className="textarea min-h-40 w-full"
            placeholder={EXAMPLE}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          {over > 0 && (
            <p role="alert" className="text-error">
              {over} characters too long: only the first {MAX_PASTE_CHARACTERS} are read.
            </p>
          )}
          {rows.length > 0 && (
            <ul className="flex flex-col gap-1" aria-label="Rows read">
              {rows.map(({ row, read }) => (
                <li key={row} className={read.ok ? "" : "text-error"}>
                  <span className="figure quiet mr-2">{row}</span>
                  {read.ok ? <ReadOrder order={read.value} pieces={book.pieces} /> : read.failure}
                </li>
              ))}
            </ul>
          )}
        </div>
      }
      side={
        <>
          <p>
            <span className="figure text-4xl">{good.length}</span> of {formatCount(rows.length, "row")} can be
            taken in. The rest stays here to be mended.
          </p>
          <button
            type="button"
            className="btn btn-primary touch"
            disabled={good.length === 0}
            onClick={() => void take()}
          >
            Take in {formatCount(good.length, "order")}
          </button>
          <Link href={`/day/${book.day.date}/orders`} className="btn touch">
            Back to the orders
          </Link>
        </>
      }
    />
  );
}

function ReadOrder({ order, pieces }: { readonly order: TakenOrder; readonly pieces: readonly Piece[] }) {
  const { count, pieceId, customer, dueMin } = order;
  return (
    <>
      <strong className="figure">{count}</strong> {pieces.find(({ id }) => id === pieceId)?.name},{" "}
      {customer || "no name"}, <span className="figure">{formatClock(dueMin)}</span>
    </>
  );
}
