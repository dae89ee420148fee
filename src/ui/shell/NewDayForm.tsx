"use client";

import { useState, type FormEvent } from "react";
import { addDays, type Day } from "@/core/plan";
import { useBench } from "../bench/BenchProvider";
import type { Edit } from "../bench/benchStore";
import { createId } from "../bench/createId";
import { pickRecords } from "@/schemas/toDayBook";

/** Longest name a day gets here; the schema refuses more. */
const MAX_DAY_NAME = 80;

/** A new day, empty or with this day's orders again. */
export function NewDayForm({ onDone }: { readonly onDone: (date: string) => void }) {
  const { book, records, edit } = useBench((state) => state);
  const days = pickRecords(records, "day");
  const [date, setDate] = useState(() => findFreeDate(book.day.date, days));
  const [name, setName] = useState(book.day.name);
  const [repeat, setRepeat] = useState(true);
  const taken = days.find((day) => day.date === date);
  const fault = taken
    ? `${taken.name} has this date already. Choose another.`
    : name.trim() === ""
      ? "The day needs a name."
      : null;

  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (fault || date === "") return;
    const day = {
      id: createId("day"),
      date,
      name: name.trim(),
      openMin: book.day.openMin,
      helper: book.day.helper,
      laid: [],
      pinned: [],
    };
    const orders = repeat
      ? book.orders.map((order) => ({ ...order, id: createId("order"), dayId: day.id }))
      : [];
    const edits: Edit[] = [
      { kind: "day", id: day.id, record: day },
      ...orders.map((order): Edit => ({ kind: "order", id: order.id, record: order })),
    ];
    edit(edits);
    onDone(date);
  };
  return (
    <form className="mt-3 flex flex-col gap-2" onSubmit={submit}>
      <label className="flex flex-col gap-1">
        Date
        <input
          type="date"
          className="input w-full"
          value={date}
          required
          onChange={(event) => setDate(event.target.value)}
        />
      </label>
      <label className="flex flex-col gap-1">
        Name
        <input
          className="input w-full"
          value={name}
          maxLength={MAX_DAY_NAME}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className="touch flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox"
          checked={repeat}
          onChange={(event) => setRepeat(event.target.checked)}
        />
        with the {book.orders.length} orders of {book.day.name}
      </label>
      {fault && (
        <p className="text-sm text-error" role="alert">
          {fault}
        </p>
      )}
      <button className="btn btn-primary touch" disabled={fault !== null}>
        Make this day
      </button>
    </form>
  );
}

const WEEK_DAYS = 7;

/** The same weekday, so many weeks on that it has no day yet. */
function findFreeDate(date: string, days: readonly Day[]): string {
  const next = addDays(date, WEEK_DAYS);
  return days.some((day) => day.date === next) ? findFreeDate(next, days) : next;
}
