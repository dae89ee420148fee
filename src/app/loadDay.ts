import { differenceInMinutes, endOfDay, parse } from "date-fns";
import { planDay, type DayBook, type DayPlan } from "@/core/plan";
import { getStore } from "@/data/getStore";
import { pickRecords, toDayBook } from "@/schemas/toDayBook";
import type { Formula } from "@/schemas/model";
import type { StoredRecord } from "@/schemas/recordKinds";
import { readClock } from "./clock";

export interface LoadedDay {
  readonly records: readonly StoredRecord[];
  /** For a day that is over: the formulas as they stood at its end. */
  readonly formulasThen: readonly Formula[];
  readonly book: DayBook;
  readonly plan: DayPlan;
}

const MINUTES_PER_DAY = 24 * 60;

/** A stored day with its plan, or null if the date has none. */
export function loadDay(date: string): LoadedDay | null {
  const records = getStore().listRecords();
  const minutes = countMinutesSince(date, readClock());
  // A day to come is planned from its opening, and so is one that is over: it is looked back on as it was.
  const nowMin = minutes >= 0 && minutes < MINUTES_PER_DAY ? minutes : null;
  const isOver = minutes >= MINUTES_PER_DAY;
  const formulasThen = isOver ? getStore().listFormulasAsOf(findEndIso(date)) : [];
  const book = toDayBook(records, date, nowMin, formulasThen);
  return book && { records, formulasThen, book, plan: planDay(book) };
}

/** The last instant of a local date, UTC. */
function findEndIso(date: string): string {
  return endOfDay(parse(date, "yyyy-MM-dd", readClock())).toISOString();
}

/** The day to open first: the next one from today on, else the last there was; null if there is none. */
export function findDayToOpen(): string | null {
  const now = readClock();
  const dates = pickRecords(getStore().listRecords(), "day")
    .map(({ date }) => date)
    .sort();
  return dates.find((date) => countMinutesSince(date, now) < MINUTES_PER_DAY) ?? dates.at(-1) ?? null;
}

/** Minutes from the local midnight a date begins with; negative before it. */
function countMinutesSince(date: string, now: Date): number {
  return differenceInMinutes(now, parse(date, "yyyy-MM-dd", now));
}
