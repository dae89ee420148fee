import { planDay, type DayBook, type DayPlan } from "@/core/plan";
import { getStore } from "@/data/getStore";
import { pickRecords, toDayBook } from "@/schemas/toDayBook";
import type { StoredRecord } from "@/schemas/recordKinds";

export interface LoadedDay {
  readonly records: readonly StoredRecord[];
  readonly book: DayBook;
  readonly plan: DayPlan;
}

/** A stored day with its plan, or null if the date has none. */
export function loadDay(date: string): LoadedDay | null {
  const records = getStore().listRecords();
  const book = toDayBook(records, date, findNowMin(date, new Date()));
  return book && { records, book, plan: planDay(book) };
}

/** Minutes after the date's midnight it is now: null before that day, past the last minute after it. */
export function findNowMin(date: string, now: Date): number | null {
  const [year = 0, month = 1, day = 1] = date.split("-").map(Number);
  const minutes = Math.floor((now.getTime() - new Date(year, month - 1, day).getTime()) / 60_000);
  return minutes < 0 ? null : minutes;
}

/** The day to open first: the next one from today on, else the last there was; null if there is none. */
export function findDayToOpen(now: Date): string | null {
  const dates = pickRecords(getStore().listRecords(), "day")
    .map(({ date }) => date)
    .sort();
  return dates.find((date) => (findNowMin(date, now) ?? 0) < MINUTES_PER_DAY) ?? dates.at(-1) ?? null;
}

const MINUTES_PER_DAY = 24 * 60;
