"use client";

import { CalendarDays, List } from "lucide-react";
import { useState } from "react";
import { sumDays, type DaySummary } from "@/core/run";
import { addDays } from "@/core/plan";
import { formatMoney, formatCount } from "@/core/units";
import { HIDDEN_MONEY } from "../bench/useMoney";
import { CompareDays } from "./CompareDays";
import { DayMonths } from "./DayMonths";
import { listDayColumns } from "./dayColumns";
import { findDays } from "./findDays";
import { LookBackHeader } from "./LookBackHeader";
import { SpanFigures } from "./SpanFigures";
import { DataTable } from "../table/DataTable";

interface Props {
  /** The latest first. */
  readonly days: readonly DaySummary[];
  readonly today: string;
  /** What money is told in; null for figures alone. */
  readonly currency: string | null;
  /** The owner keeps from this device what is paid and earned. */
  readonly hidesCosts: boolean;
}

/** How far back is looked. */
const spans = [
  { name: "4 weeks", days: 28 },
  { name: "3 months", days: 91 },
  { name: "a year", days: 365 },
  { name: "all", days: null },
] as const;
/** Two are compared. */
const COMPARED = 2;

/** The book of days: list or calendar, searched; what a span made, sold, lost and cost; two days side by side. */
export function DaysPage({ days, today, currency, hidesCosts }: Props) {
  const money = (amountMinor: number) => (hidesCosts ? HIDDEN_MONEY : formatMoney(amountMinor, currency));
  const [span, setSpan] = useState<(typeof spans)[number]>(spans[3]);
  const [text, setText] = useState("");
  const [isCalendar, setCalendar] = useState(false);
  const [pieceId, setPieceId] = useState("");
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const from = span.days === null ? "" : addDays(today, -span.days);
  const shown = findDays(days, text).filter(({ date }) => date >= from);
  const pieces = new Map(
    days.flatMap((day) => day.pieces.map(({ pieceId: id, name }) => [id, name] as const)),
  );
  const compared = chosen.flatMap((date) => days.find((day) => day.date === date) ?? []);
  const turn = (date: string) =>
    setChosen((now) =>
      now.includes(date) ? now.filter((each) => each !== date) : [...now, date].slice(-COMPARED),
    );
  return (
    <main className="board min-h-dvh p-4 sm:p-7">
      <LookBackHeader title="Book of days" other={{ href: "/habits", name: "Habits" }} api="/api/v1/days" />
      {days.length === 0 ? (
        <p className="mt-4 max-w-prose text-lg">
          No day was run yet. “Run this day” at the foot of the bench begins one; it stands here from its
          first job on.
        </p>
      ) : (
        <>
          <div className="my-4 flex flex-wrap items-end gap-3">
            <label className="flex flex-col gap-1">
              Search
              <input
                className="input w-56"
                type="search"
                placeholder="leaked, quince, October"
                value={text}
                onChange={({ target }) => setText(target.value)}
              />
            </label>
            <label className="flex flex-col gap-1">
              Sums of
              <select
                className="select w-48"
                value={pieceId}
                onChange={({ target }) => setPieceId(target.value)}
              >
                <option value="">all pieces</option>
                {[...pieces].map(([id, name]) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
            <fieldset className="flex gap-1">
              <legend className="sr-only">How far back</legend>
              {spans.map((each) => (
                <button
                  key={each.name}
                  type="button"
                  aria-pressed={each === span}
                  className={`btn touch ${each === span ? "btn-primary" : ""}`}
                  onClick={() => setSpan(each)}
                >
                  {each.name}
                </button>
              ))}
            </fieldset>
            <button type="button" className="btn touch" onClick={() => setCalendar(!isCalendar)}>
              {isCalendar ? (
                <>
                  <List size={20} aria-hidden /> List
                </>
              ) : (
                <>
                  <CalendarDays size={20} aria-hidden /> Calendar
                </>
              )}
            </button>
          </div>
          <SpanFigures money={money} sums={sumDays(shown, pieceId === "" ? null : pieceId)} />
          {compared.length === COMPARED && (
            <CompareDays money={money} one={compared[0]!} other={compared[1]!} />
          )}
          <p className="quiet mt-3 text-sm" role="status">
            {formatCount(shown.length, "day")}
            {compared.length === 1 && "; choose another to compare with"}
          </p>
          {isCalendar ? (
            <DayMonths days={shown} />
          ) : (
            <DataTable
              caption="Days that were run"
              columns={listDayColumns(chosen, turn)}
              rows={shown}
              idOf={({ date }) => date}
            />
          )}
        </>
      )}
    </main>
  );
}
