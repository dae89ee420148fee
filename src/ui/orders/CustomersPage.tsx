"use client";

import { compareNames } from "@/core/compareNames";
import { Trash2 } from "lucide-react";
import { useState, type FormEvent } from "react";
import { findCustomer, type Customer, type StandingOrder } from "@/core/orders";
import { findWeekday } from "@/core/plan";
import { formatClock, formatCount, parseClock, parseNumber } from "@/core/units";
import { describeLimitFault } from "@/schemas/checkValue";
import { MAX_CONTACT_CHARACTERS, orderLimits } from "@/schemas/limits";
import { pickRecords, type Edit } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { checkClock, checkCount, checkName } from "../controls/checks";
import { Select } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { PieceMark } from "../drawings/PieceMark";
import { weekdayNames } from "./weekdays";

/** What a new standing order begins with: a dozen, at nine unless they usually come at another time. */
const FIRST_STANDING = { count: 12, dueMin: 9 * 60 };

/** Who orders, how to reach them, and what they have without asking. */
export function CustomersPage() {
  const { date, records } = usePicked("date", "records");
  const customers = pickRecords(records, "customer").toSorted((a, b) => compareNames(a.name, b.name));
  return (
    <StationLayout
      label="Customers"
      surface={
        <div className="flex flex-col gap-4">
          <h2 className="text-2xl">Customers</h2>
          {customers.length === 0 && (
            <p className="quiet max-w-prose">
              Nobody is kept yet. Whoever comes again is worth a name: a standing order is then taken in with
              one tap, and a new order knows when they usually come.
            </p>
          )}
          <ul className="grid gap-4 xl:grid-cols-2">
            {customers.map((customer) => (
              <CustomerCard key={customer.id} customer={customer} />
            ))}
          </ul>
        </div>
      }
      side={
        <>
          <NewCustomer customers={customers} />
          <Link href={`/day/${date}/orders`} className="btn touch">
            Back to the orders
          </Link>
        </>
      }
    />
  );
}

function NewCustomer({ customers }: { readonly customers: readonly Customer[] }) {
  const { edit } = usePicked("edit");
  const [name, setName] = useState("");
  const [isAsked, setAsked] = useState(false);
  const twin = findCustomer(customers, name);
  const fault = twin ? `${twin.name} is here already. Add a word that tells them apart.` : checkName(name);
  const add = (event: FormEvent) => {
    event.preventDefault();
    setAsked(true);
    if (fault) return;
    const id = createId("customer");
    edit([{ kind: "customer", id, record: { id, name: name.trim(), contact: "", usualMin: null } }]);
    setName("");
    setAsked(false);
  };
  return (
    <form className="flex flex-col gap-2" onSubmit={add} noValidate>
      <h2 className="text-xl">A new customer</h2>
      <label htmlFor="customer-name">Name</label>
      <input
        id="customer-name"
        className="input w-full"
        autoComplete="off"
        value={name}
        aria-invalid={isAsked && fault !== null}
        aria-describedby={isAsked && fault ? "customer-fault" : undefined}
        onChange={(event) => setName(event.target.value)}
      />
      {isAsked && fault && (
        <p id="customer-fault" role="alert" className="text-sm text-error">
          {fault}
        </p>
      )}
      <button className="btn btn-primary touch">Keep the customer</button>
    </form>
  );
}

function CustomerCard({ customer }: { readonly customer: Customer }) {
  const { records, book, edit } = usePicked("records", "book", "edit");
  const standing = pickRecords(records, "standing").filter(({ customerId }) => customerId === customer.id);
  const others = pickRecords(records, "customer").filter(({ id }) => id !== customer.id);
  const save = (fields: Partial<Customer>) =>
    edit([{ kind: "customer", id: customer.id, record: { ...customer, ...fields } }]);
  const remove = () =>
    edit([
      ...standing.map(({ id }): Edit => ({ kind: "standing", id, record: null })),
      { kind: "customer", id: customer.id, record: null },
    ]);
  const addStanding = () => {
    const [piece] = book.pieces;
    if (!piece) return;
    const id = createId("standing");
    const record: StandingOrder = {
      ...{ id, customerId: customer.id, pieceId: piece.id, holidayCount: null },
      ...FIRST_STANDING,
      ...(customer.usualMin === null ? {} : { dueMin: customer.usualMin }),
      weekdays: [findWeekday(book.day.date)],
    };
    edit([{ kind: "standing", id, record }]);
  };
  return (
    <li
      aria-label={customer.name}
      className="flex flex-col gap-2 rounded-xl border border-base-300 bg-base-100 p-3"
    >
      <div className="flex items-start gap-2">
        <TextField
          label="Name"
          className="flex-1"
          inputClassName="text-lg"
          value={customer.name}
          check={(text) =>
            checkName(text) ??
            (findCustomer(others, text) ? "Another customer has this name. Add a word to it." : null)
          }
          onCommit={(name) => save({ name })}
        />
        <TextField
          label="Usually at"
          className="w-24"
          inputClassName="figure text-lg"
          value={customer.usualMin === null ? "" : formatClock(customer.usualMin)}
          check={(text) => (text.trim() === "" ? null : checkClock(text))}
          onCommit={(text) => {
            const usual = parseClock(text);
            save({ usualMin: usual.ok ? usual.value : null });
          }}
        />
        <button
          type="button"
          className="btn btn-ghost touch mt-6 px-2"
          aria-label={`Remove ${customer.name}`}
          onClick={remove}
        >
          <Trash2 size={20} aria-hidden />
        </button>
      </div>
      <TextField
        label="Telephone or note"
        value={customer.contact}
        check={(text) => {
          const over = text.trim().length - MAX_CONTACT_CHARACTERS;
          return over > 0 ? `${over} characters too long. Use up to ${MAX_CONTACT_CHARACTERS}.` : null;
        }}
        onCommit={(contact) => save({ contact })}
      />
      {standing.length > 0 && (
        <ul aria-label={`Standing orders of ${customer.name}`} className="flex flex-col gap-3">
          {standing.map((each) => (
            <StandingLine key={each.id} standing={each} />
          ))}
        </ul>
      )}
      {book.pieces.length > 0 && (
        <button type="button" className="btn touch self-start" onClick={addStanding}>
          Add a standing order
        </button>
      )}
    </li>
  );
}

function StandingLine({ standing }: { readonly standing: StandingOrder }) {
  const { book, edit, notify } = usePicked("book", "edit", "notify");
  const { id, count, pieceId, holidayCount, dueMin, weekdays } = standing;
  const save = (fields: Partial<StandingOrder>) =>
    edit([{ kind: "standing", id, record: { ...standing, ...fields } }]);
  const piece = book.pieces.find((each) => each.id === pieceId);
  const toggle = (weekday: number) => {
    const days = weekdays.includes(weekday)
      ? weekdays.filter((each) => each !== weekday)
      : [...weekdays, weekday].toSorted((a, b) => a - b);
    if (days.length === 0) return notify("A standing order has one day at least. Remove it if it ends.");
    save({ weekdays: days });
  };
  return (
    <li className="flex flex-col gap-1.5 border-t border-base-300 pt-2">
      <div className="flex flex-wrap items-end gap-2">
        <TextField
          label="Pieces"
          className="w-20"
          inputClassName="figure text-lg"
          value={String(count)}
          check={checkCount}
          onCommit={(text) => {
            const read = parseNumber(text);
            if (read.ok) save({ count: read.value });
          }}
        />
        <PieceMark pieceId={pieceId} />
        <div className="min-w-40 flex-1">
          <Select
            label="Of"
            value={pieceId}
            options={book.pieces.map((each) => ({ id: each.id, name: each.name }))}
            onChange={(next) => save({ pieceId: next })}
          />
        </div>
        <TextField
          label="By"
          className="w-24"
          inputClassName="figure text-lg"
          value={formatClock(dueMin)}
          check={checkClock}
          onCommit={(text) => {
            const read = parseClock(text);
            if (read.ok) save({ dueMin: read.value });
          }}
        />
        <TextField
          label="On a holiday"
          className="w-28"
          inputClassName="figure text-lg"
          value={holidayCount === null ? "as ever" : String(holidayCount)}
          check={checkHoliday}
          onCommit={(text) => {
            const read = parseNumber(text);
            save({ holidayCount: read.ok ? read.value : null });
          }}
        />
        <button
          type="button"
          className="btn btn-ghost touch px-2"
          aria-label={`Remove the standing order: ${formatCount(count, "piece")} of ${piece?.name ?? "what is gone"}`}
          onClick={() => edit([{ kind: "standing", id, record: null }])}
        >
          <Trash2 size={20} aria-hidden />
        </button>
      </div>
      <div role="group" aria-label="On these days" className="grid grid-cols-7 gap-1">
        {weekdayNames.map((name, i) => {
          const isOn = weekdays.includes(i + 1);
          return (
            <button
              key={name}
              type="button"
              className={`btn touch px-0 ${isOn ? "btn-primary" : ""}`}
              aria-pressed={isOn}
              aria-label={name}
              onClick={() => toggle(i + 1)}
            >
              {name.slice(0, 2)}
            </button>
          );
        })}
      </div>
    </li>
  );
}

/** Empty, or any word for it, is as on other days. */
function checkHoliday(text: string): string | null {
  if (text.trim() === "" || text.trim() === "as ever") return null;
  const read = parseNumber(text);
  if (!read.ok || !Number.isInteger(read.value))
    return "Write a whole number, 0 for none, or leave it empty for as ever.";
  return describeLimitFault(read.value, orderLimits.holidayCount);
}
