"use client";

import { useState } from "react";
import { formatClock, formatDuration, formatMass, parseClock } from "@/core/units";
import type { Order, PiecePlan } from "@/core/plan";
import { usePicked } from "../bench/BenchProvider";
import { LeaveLink } from "../bench/LeaveLink";
import { Link } from "../controls/Link";
import { checkClock, checkName } from "../controls/checks";
import { Choice } from "../controls/Choice";
import { Later } from "../controls/Later";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { PlanDrawing } from "../drawings/PlanDrawing";
import { CustomerNames } from "../orders/CustomerNames";
import { OrderGroups } from "../orders/OrderGroups";
import { StandingOffer } from "../orders/StandingOffer";
import { NewOrderForm, type LineWish } from "./NewOrderForm";
import { StationHelp } from "./StationHelp";

/** Who wants what by when. */
export function OrdersStation() {
  const { book, edit } = usePicked("book", "edit");
  const { orders } = book;
  const [wish, setWish] = useState<LineWish | null>(null);
  return (
    <StationLayout
      label="Orders"
      help={<StationHelp station="orders" />}
      surface={
        <div className="flex flex-col gap-4">
          <ProblemList station="orders" />
          <CustomerNames />
          <StandingOffer />
          {orders.length > 0 && (
            <OrderGroups onMore={({ customer, dueMin }) => setWish({ customer, dueMin })} />
          )}
          <Later>
            <DayPieces />
          </Later>
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
          <NewOrderForm wish={wish} />
          <Link href={`/day/${book.day.date}/bring`} className="btn touch">
            Bring a list of orders
          </Link>
          <Link href={`/day/${book.day.date}/customers`} className="btn touch">
            Customers and standing orders
          </Link>
          <Link href={`/day/${book.day.date}/batch`} className="btn touch">
            A batch first: into how many?
          </Link>
          <Later>
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
            <div className="grid grid-cols-2 gap-2">
              {papers.map(({ paper, name }) => (
                <LeaveLink
                  key={paper}
                  href={`/api/day/${book.day.date}/pdf?paper=${paper}`}
                  className="btn touch"
                  download
                >
                  By the clock, PDF {name}
                </LeaveLink>
              ))}
              <LeaveLink href={`/api/day/${book.day.date}/ics`} className="btn touch" download>
                Calendar with alarms
              </LeaveLink>
              <LeaveLink href={`/api/day/${book.day.date}/csv`} className="btn touch" download>
                Jobs as CSV
              </LeaveLink>
              <LeaveLink href={`/api/day/${book.day.date}/orders`} className="btn touch" download>
                Orders as CSV
              </LeaveLink>
            </div>
            <p className="quiet text-sm">
              A calendar that stays, for two weeks ahead:{" "}
              {/* oxlint-disable-next-line nextjs/no-html-link-for-pages -- a file, not a page */}
              <a className="link figure" href="/api/calendar.ics">
                /api/calendar.ics
              </a>
            </p>
          </Later>
        </>
      }
    />
  );
}

/** What the sheet by the clock is printed on. */
const papers = [
  { paper: "a4", name: "A4" },
  { paper: "letter", name: "Letter" },
] as const;

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
