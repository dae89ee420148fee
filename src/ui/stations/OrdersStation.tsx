"use client";

import Link from "next/link";
import { Trash2 } from "lucide-react";
import { formatClock, formatDuration, formatMass, parseClock, parseNumber } from "@/core/units";
import type { Order, PiecePlan } from "@/core/plan";
import { usePicked } from "../bench/BenchProvider";
import { LeaveLink } from "../bench/LeaveLink";
import { checkClock, checkCount, checkName } from "../controls/checks";
import { Choice } from "../controls/Choice";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { PlanDrawing } from "../drawings/PlanDrawing";
import { NewOrderForm } from "./NewOrderForm";

/** Who wants what by when. */
export function OrdersStation() {
  const { book, edit } = usePicked("book", "edit");
  const orders = [...book.orders].sort((a, b) => a.dueMin - b.dueMin);
  return (
    <StationLayout
      label="Orders"
      surface={
        <div className="flex flex-col gap-4">
          <ProblemList station="orders" />
          {orders.length > 0 && <OrderTable orders={orders} />}
          <DayPieces />
          {orders.length === 0 && (
            <div>
              <h2 className="text-2xl">What is wanted, and by when?</h2>
              <p className="quiet">One order is enough: the whole day follows from it.</p>
            </div>
          )}
        </div>
      }
      side={
        <>
          <NewOrderForm />
          <Link href={`/day/${book.day.date}/batch`} className="btn touch">
            A batch first: into how many?
          </Link>
          <hr className="border-base-300" />
          <TextField
            label="Name of the day"
            value={book.day.name}
            check={checkName}
            onCommit={(name) => edit([{ kind: "day", id: book.day.id, record: { ...book.day, name } }])}
          />
          <TextField
            label="Nobody starts before"
            value={formatClock(book.day.openMin)}
            check={checkClock}
            onCommit={(text) => {
              const openMin = parseClock(text);
              if (openMin.ok)
                edit([{ kind: "day", id: book.day.id, record: { ...book.day, openMin: openMin.value } }]);
            }}
          />
          <HelperDials />
          <ReserveChoice />
          <LeaveLink href={`/print/${book.day.date}`} className="btn touch">
            Day sheet to print
          </LeaveLink>
          <div className="grid grid-cols-3 gap-2">
            <LeaveLink href={`/api/day/${book.day.date}/pdf`} className="btn touch" download>
              By the clock, PDF
            </LeaveLink>
            <LeaveLink href={`/api/day/${book.day.date}/ics`} className="btn touch" download>
              Calendar with alarms
            </LeaveLink>
            <LeaveLink href={`/api/day/${book.day.date}/csv`} className="btn touch" download>
              Jobs as CSV
            </LeaveLink>
          </div>
        </>
      }
    />
  );
}

/** Hours of a helper to begin with, minutes after midnight. */
const FIRST_HELP = { fromMin: 7 * 60, toMin: 11 * 60 };

/** A second pair of hands for part of the day. */
function HelperDials() {
  const { book, edit } = usePicked("book", "edit");
  const { helper } = book.day;
  const save = (next: typeof helper) =>
    edit([{ kind: "day", id: book.day.id, record: { ...book.day, helper: next } }]);
  const field = (name: "fromMin" | "toMin", label: string) =>
    helper && (
      <TextField
        label={label}
        value={formatClock(helper[name])}
        check={(text) => {
          const fault = checkClock(text);
          const parsed = parseClock(text);
          if (fault || !parsed.ok) return fault;
          const next = { ...helper, [name]: parsed.value };
          return next.toMin > next.fromMin ? null : "The helper must leave after coming.";
        }}
        onCommit={(text) => {
          const parsed = parseClock(text);
          if (parsed.ok) save({ ...helper, [name]: parsed.value });
        }}
      />
    );
  return (
    <>
      <Choice
        legend="A helper"
        value={helper ? "yes" : "no"}
        onChange={(answer) => save(answer === "yes" ? FIRST_HELP : null)}
        options={[
          { id: "no", title: "none" },
          { id: "yes", title: "for some hours" },
        ]}
      />
      {helper && (
        <div className="grid grid-cols-2 gap-2">
          {field("fromMin", "Comes at")}
          {field("toMin", "Leaves at")}
        </div>
      )}
    </>
  );
}

/** Whether the day is planned for promises that hold just as likely as not, or nine times in ten. */
function ReserveChoice() {
  const { book, plan, edit } = usePicked("book", "plan", "edit");
  const { day } = book;
  return (
    <>
      <Choice
        legend="Ready by what is promised"
        value={day.keepsReserve ? "yes" : "no"}
        onChange={(answer) =>
          edit([{ kind: "day", id: day.id, record: { ...day, keepsReserve: answer === "yes" } }])
        }
        options={[
          { id: "no", title: "as planned" },
          { id: "yes", title: "nine days in ten" },
        ]}
      />
      {day.keepsReserve && (
        <p className="quiet text-sm" role="status">
          {plan.reserveMin > 0
            ? `Planned up to ${formatDuration(plan.reserveMin)} before what is promised: by so much your minutes stray.`
            : plan.lines.some((line) => isAtRisk(line, book.orders))
              ? "There is no room for a reserve: open earlier, promise later, or take help."
              : "It holds nine days in ten without a reserve."}
        </p>
      )}
    </>
  );
}

/** An order of its kind is not ready by its minute nine times in ten. */
const isAtRisk = ({ piece, readyMostMin }: PiecePlan, orders: readonly Order[]): boolean =>
  orders.some(({ id, pieceId, dueMin }) => pieceId === piece.id && (readyMostMin[id] ?? dueMin) > dueMin);

/** What the day makes, kind by kind: drawn, counted, weighed. */
function DayPieces() {
  const { date, plan } = usePicked("date", "plan");
  return (
    <ul className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3" aria-label="Pieces of the day">
      {plan.lines.map((line) => (
        <li key={line.piece.id}>
          <Link
            href={`/day/${date}/fill?piece=${line.piece.id}`}
            className="flex h-full flex-col rounded-xl border border-base-300 bg-base-100 p-3 hover:border-primary"
          >
            <span className="flex items-baseline gap-2">
              <span className="figure text-4xl">{line.counts.made}</span>
              <span className="text-lg">{line.piece.name}</span>
            </span>
            <span className="mx-auto my-1 h-28 w-full">
              <PlanDrawing
                formed={line.shaped.formed}
                seal={line.shaped.seal}
                vents={line.piece.vents}
                name={line.piece.name}
              />
            </span>
            <span className="quiet text-sm">
              {line.piece.spares} spare · {formatMass(line.shaped.masses.bakedPieceG)} each ·{" "}
              {formatMass(line.shaped.portion.massG)} filling
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

function OrderTable({ orders }: { readonly orders: readonly Order[] }) {
  const { book, plan, edit } = usePicked("book", "plan", "edit");
  const hasLog = Object.keys(book.past.habits).length > 0;
  const save = (order: Order) => edit([{ kind: "order", id: order.id, record: order }]);
  return (
    <table className="w-full border-separate border-spacing-y-1">
      <caption className="sr-only">Orders of the day, the earliest first</caption>
      <thead>
        <tr className="text-left">
          <th scope="col" className="w-24 font-normal">
            Pieces
          </th>
          <th scope="col" className="font-normal">
            Of
          </th>
          <th scope="col" className="w-28 font-normal">
            By
          </th>
          <th scope="col" className="hidden font-normal sm:table-cell">
            For
          </th>
          <th scope="col" className="hidden font-normal md:table-cell">
            Ready
          </th>
          <th scope="col" className="w-12">
            <span className="sr-only">Take off</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {orders.map((order) => {
          const piece = book.pieces.find(({ id }) => id === order.pieceId);
          const line = plan.lines.find(({ piece: made }) => made.id === order.pieceId);
          const ready = line?.readyMin[order.id] ?? null;
          return (
            <tr key={order.id} className="align-top">
              <td className="pr-2">
                <TextField
                  hideLabel
                  label={`Pieces of ${piece?.name ?? ""} for ${order.customer || "no name"}`}
                  inputClassName="figure text-xl"
                  value={String(order.count)}
                  check={checkCount}
                  onCommit={(text) => {
                    const count = parseNumber(text);
                    if (count.ok) save({ ...order, count: count.value });
                  }}
                />
              </td>
              <td className="pr-2">
                <Link
                  href={`/day/${book.day.date}/piece/${order.pieceId}`}
                  className="touch inline-flex items-center text-lg underline-offset-4 hover:underline"
                >
                  {piece?.name}
                </Link>
              </td>
              <td className="pr-2">
                <TextField
                  hideLabel
                  label={`Promised time of ${piece?.name ?? ""} for ${order.customer || "no name"}`}
                  inputClassName="figure text-lg"
                  value={formatClock(order.dueMin)}
                  check={checkClock}
                  onCommit={(text) => {
                    const dueMin = parseClock(text);
                    if (dueMin.ok) save({ ...order, dueMin: dueMin.value });
                  }}
                />
              </td>
              <td className="hidden pr-2 sm:table-cell">
                <TextField
                  hideLabel
                  label={`Customer of ${order.count} ${piece?.name ?? ""}`}
                  inputClassName="text-base"
                  value={order.customer}
                  check={(text) => (text.trim() === "" ? null : checkName(text))}
                  onCommit={(customer) => save({ ...order, customer })}
                />
              </td>
              <td className="hidden pt-2 md:table-cell">
                <span className="figure text-lg">{ready === null ? "–" : formatClock(ready)}</span>
                {hasLog && <NineInTen mostMin={line?.readyMostMin[order.id] ?? null} order={order} />}
              </td>
              <td>
                <button
                  type="button"
                  className="btn btn-ghost touch px-2"
                  aria-label={`Take off ${order.count} ${piece?.name ?? ""}`}
                  onClick={() => edit([{ kind: "order", id: order.id, record: null }])}
                >
                  <Trash2 size={20} aria-hidden />
                </button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** By when an order is complete nine days in ten, where that is later than it was promised. */
function NineInTen({ mostMin, order }: { readonly mostMin: number | null; readonly order: Order }) {
  if (mostMin === null || mostMin <= order.dueMin) return null;
  return <span className="block text-sm text-error">nine days in ten {formatClock(Math.ceil(mostMin))}</span>;
}
