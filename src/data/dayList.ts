import type Database from "better-sqlite3";
import { addDays } from "@/core/plan";

/** A day there is, for going to it. */
export interface DayName {
  readonly date: string;
  readonly name: string;
}

/** Which days of the book: those after a date or before it, nearest first, or all of a span. */
export function createDayList(db: Database.Database) {
  const columns = "SELECT date, name FROM day WHERE is_archived = 0 AND";
  const before = db.prepare<[string, number], DayName>(`${columns} date < ? ORDER BY date DESC LIMIT ?`);
  const from = db.prepare<[string, number], DayName>(`${columns} date >= ? ORDER BY date LIMIT ?`);
  const between = db.prepare<[string, string, number], DayName>(
    `${columns} date BETWEEN ? AND ? ORDER BY date LIMIT ?`,
  );
  const isTaken = (date: string) => between.get(date, date, 1) !== undefined;
  return {
    /** Days before a date, latest first. */
    listBefore: (date: string, most: number): DayName[] => before.all(date, most),
    /** Days from a date on, earliest first. */
    listFrom: (date: string, most: number): DayName[] => from.all(date, most),
    listBetween: (first: string, last: string, most: number): DayName[] => between.all(first, last, most),
    /** The day to open first: the next one from a date on, else the last there was; null if there is none. */
    findNext: (date: string): string | null => from.get(date, 1)?.date ?? before.get(date, 1)?.date ?? null,
    /** The first date without a day, so many days on from another, or twice so many, and so on. */
    findFree(date: string, stepDays: number): string {
      let free = addDays(date, stepDays);
      while (isTaken(free)) free = addDays(free, stepDays);
      return free;
    },
  };
}

export type DayList = ReturnType<typeof createDayList>;
