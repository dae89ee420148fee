"use client";

import { useEffect, useState, type FormEvent } from "react";
import { useBenchShell } from "../bench/BenchProvider";
import type { Edit } from "@/schemas/recordTable";
import { addDays } from "@/core/plan";
import { createId } from "../bench/createId";
import { TaughtByDay } from "./TaughtByDay";
import { formatDayDate } from "./formatDayDate";
import { askDays, type DayName } from "./dayNames";

/** Longest name a day gets here; the schema refuses more. */
const MAX_DAY_NAME = 80;

/** A day is written down later within a week; one before that is more likely a slip of the finger. */
const LONG_PAST_DAYS = 7;

/** A new day, empty or with this day's orders again. */
export function NewDayForm({ onDone }: { readonly onDone: (date: string) => void }) {
  const book = useBenchShell((state) => state.book);
  const edit = useBenchShell((state) => state.edit);
  const today = useBenchShell((state) => state.today);
  const [date, setDate] = useState("");
  const [taken, setTaken] = useState<DayName | null>(null);
  const [name, setName] = useState(book.day.name);
  const [meantDate, setMeantDate] = useState("");
  const [repeat, setRepeat] = useState(true);
  useEffect(() => {
    // The same weekday, so many weeks on that it has no day yet.
    void askDays<{ date: string }>(`free=${book.day.date}`).then((free) =>
      setDate((now) => now || (free?.date ?? "")),
    );
  }, [book.day.date]);
  useEffect(() => {
    let gone = false;
    if (date !== "")
      void askDays<{ days: readonly DayName[] }>(`on=${date}`).then((on) => {
        if (!gone) setTaken(on?.days[0] ?? null);
      });
    return () => {
      gone = true;
    };
  }, [date]);
  const fault =
    taken?.date === date
      ? `${taken.name} has this date already. Choose another.`
      : name.trim() === ""
        ? "The day needs a name."
        : null;

  const isLongPast = date !== "" && date < addDays(today, -LONG_PAST_DAYS);
  const isDoubtful = isLongPast && meantDate !== date;

  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (fault || isDoubtful || date === "") return;
    const day = {
      id: createId("day"),
      date,
      name: name.trim(),
      openMin: book.day.openMin,
      helper: book.day.helper,
      keepsReserve: book.day.keepsReserve,
      laid: [],
      pinned: [],
    };
    const orders = repeat
      ? book.orders.map((order) => ({ ...order, id: createId("order"), dayId: day.id, handedMin: null }))
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
      {repeat && <TaughtByDay date={book.day.date} name={book.day.name} />}
      {fault && (
        <p className="text-sm text-error" role="alert">
          {fault}
        </p>
      )}
      {isLongPast && (
        <label className="touch flex items-center gap-2" role="alert">
          <input
            type="checkbox"
            className="checkbox"
            checked={meantDate === date}
            onChange={(event) => setMeantDate(event.target.checked ? date : "")}
          />
          {formatDayDate(date)} is long past. Make it all the same
        </label>
      )}
      <button className="btn btn-primary touch" disabled={fault !== null || isDoubtful}>
        Make this day
      </button>
    </form>
  );
}
