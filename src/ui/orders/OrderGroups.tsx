"use client";

import { Check, Plus, Trash2 } from "lucide-react";
import { findCustomer, groupOrders, type OrderGroup, type TakenOrder } from "@/core/orders";
import { formatClock, parseClock, parseNumber } from "@/core/units";
import { pickRecords, type Edit } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { checkClock, checkCount, checkName } from "../controls/checks";
import { useIsLater } from "../controls/Later";
import { TextField } from "../controls/TextField";
import { PieceMark } from "../drawings/PieceMark";
import { CUSTOMER_NAMES } from "./CustomerNames";

const toEdits = (orders: readonly TakenOrder[]): Edit[] =>
  orders.map((order) => ({ kind: "order", id: order.id, record: order }));

interface Props {
  /** A further line of the same customer at the same time is wanted. */
  readonly onMore: (group: OrderGroup) => void;
}

/** The orders of a day as they are come for: when, who, what of it, and whether it went out. */
export function OrderGroups({ onMore }: Props) {
  const { book } = usePicked("book");
  const groups = groupOrders(book.orders);
  const shown = useIsLater() ? groups.length : FIRST_SEEN;
  return (
    <ul className="flex flex-col" aria-label="Orders of the day, the earliest first">
      {groups.slice(0, shown).map((group) => (
        <GroupRow key={group.orders[0]?.id} group={group} onMore={onMore} />
      ))}
    </ul>
  );
}

/** More than these no screen shows at once. */
const FIRST_SEEN = 8;

function GroupRow({ group, onMore }: { readonly group: OrderGroup } & Props) {
  return (
    <li className="flex flex-col gap-2 border-t border-base-300 py-2 first:border-t-0 lg:flex-row lg:gap-3">
      <Promised group={group} />
      <ul className="flex min-w-0 flex-1 flex-col gap-1">
        {group.orders.map((order) => (
          <OrderLine key={order.id} order={order} />
        ))}
      </ul>
      <Acts group={group} onMore={onMore} />
    </li>
  );
}

const sayName = ({ customer }: OrderGroup): string => customer || "no name";

/** When and for whom: of all lines at once. */
function Promised({ group }: { readonly group: OrderGroup }) {
  const { records, book, edit } = usePicked("records", "book", "edit");
  const { customer, customerId, dueMin, orders, isHandedOver } = group;
  const customers = pickRecords(records, "customer");
  const contact = customers.find(({ id }) => id === customerId)?.contact ?? "";
  const save = (fields: Partial<TakenOrder>) =>
    edit(toEdits(orders.map((order) => ({ ...order, ...fields }))));
  const saveCustomer = (typed: string) => {
    const known = findCustomer(customers, typed);
    save({ customer: known?.name ?? typed, customerId: known?.id ?? null });
  };
  const keepCustomer = () => {
    const id = createId("customer");
    const others = book.orders.filter((order) => order.customer === customer && order.customerId === null);
    edit([
      { kind: "customer", id, record: { id, name: customer, contact: "", usualMin: dueMin } },
      ...toEdits(others.map((order) => ({ ...order, customerId: id }))),
    ]);
  };
  return (
    <div className="shrink-0 lg:w-[18.5rem]">
      <div className="flex gap-2">
        <TextField
          hideLabel
          className="w-24 shrink-0"
          label={`Promised time for ${sayName(group)}`}
          inputClassName="figure text-2xl"
          value={formatClock(dueMin)}
          check={checkClock}
          onCommit={(text) => {
            const due = parseClock(text);
            if (due.ok) save({ dueMin: due.value });
          }}
        />
        <TextField
          hideLabel
          className="min-w-0 flex-1"
          label={`Customer at ${formatClock(dueMin)}`}
          inputClassName={`px-2 text-base ${isHandedOver ? "line-through" : ""}`}
          value={customer}
          list={CUSTOMER_NAMES}
          check={(text) => (text.trim() === "" ? null : checkName(text))}
          onCommit={saveCustomer}
        />
      </div>
      {contact !== "" && <p className="quiet pt-0.5 text-sm">{contact}</p>}
      {customerId === null && customer !== "" && (
        <button
          type="button"
          className="btn btn-ghost touch px-1 font-normal"
          aria-label={`Keep as a customer: ${customer}`}
          onClick={keepCustomer}
        >
          Keep as a customer
        </button>
      )}
    </div>
  );
}

/** What is done with a customer's orders as a whole. */
function Acts({ group, onMore }: { readonly group: OrderGroup } & Props) {
  const { book, edit } = usePicked("book", "edit");
  const { dueMin, orders, isHandedOver } = group;
  const handOver = () =>
    edit(
      toEdits(
        orders.map((order) => ({
          ...order,
          handedMin: isHandedOver ? null : (order.handedMin ?? book.nowMin ?? dueMin),
        })),
      ),
    );
  return (
    <div className="flex flex-wrap items-start justify-end gap-1 lg:w-42">
      <button
        type="button"
        className="btn btn-ghost touch px-2.5"
        aria-label={`One more line for ${sayName(group)} at ${formatClock(dueMin)}`}
        onClick={() => onMore(group)}
      >
        <Plus size={20} aria-hidden />
      </button>
      <button
        type="button"
        className={`btn touch px-3 ${isHandedOver ? "btn-primary" : ""}`}
        aria-pressed={isHandedOver}
        aria-label={`Handed over to ${sayName(group)} at ${formatClock(dueMin)}`}
        onClick={handOver}
      >
        <Check size={20} aria-hidden />
        {isHandedOver ? `out ${formatClock(orders[0]?.handedMin ?? dueMin)}` : "Hand over"}
      </button>
    </div>
  );
}

function OrderLine({ order }: { readonly order: TakenOrder }) {
  const { book, plan, edit } = usePicked("book", "plan", "edit");
  const hasLog = Object.keys(book.past.habits).length > 0;
  const name = book.pieces.find(({ id }) => id === order.pieceId)?.name ?? "";
  const line = plan.lines.find(({ piece }) => piece.id === order.pieceId);
  const ready = line?.readyMin[order.id] ?? null;
  return (
    <li className="flex items-start gap-2" aria-label={`${order.count} ${name}`}>
      <TextField
        hideLabel
        className="w-20 shrink-0"
        label={`Pieces of ${name} for ${order.customer || "no name"}`}
        inputClassName="figure text-xl"
        value={String(order.count)}
        check={checkCount}
        onCommit={(text) => {
          const count = parseNumber(text);
          if (count.ok) edit(toEdits([{ ...order, count: count.value }]));
        }}
      />
      <Link
        href={`/day/${book.day.date}/piece/${order.pieceId}`}
        className="touch flex min-w-0 flex-1 items-center gap-2 text-lg leading-6 underline-offset-4 hover:underline"
      >
        <PieceMark pieceId={order.pieceId} />
        {name}
      </Link>
      <span className="max-w-20 shrink-0 pt-1.5 text-right sm:max-w-28">
        <span className="quiet text-sm">ready </span>
        <span className="figure text-lg">{ready === null ? "–" : formatClock(ready)}</span>
        {hasLog && <NineInTen mostMin={line?.readyMostMin[order.id] ?? null} order={order} />}
      </span>
      <button
        type="button"
        className="btn btn-ghost touch px-2"
        aria-label={`Remove ${order.count} ${name}`}
        onClick={() => edit([{ kind: "order", id: order.id, record: null }])}
      >
        <Trash2 size={20} aria-hidden />
      </button>
    </li>
  );
}

/** By when an order is complete nine days in ten, where that is later than it was promised. */
function NineInTen({ mostMin, order }: { readonly mostMin: number | null; readonly order: TakenOrder }) {
  if (mostMin === null || mostMin <= order.dueMin) return null;
  return <span className="block text-sm text-error">nine days in ten {formatClock(Math.ceil(mostMin))}</span>;
}
