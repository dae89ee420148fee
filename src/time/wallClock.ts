import { TZDate } from "@date-fns/tz";
import { UTCDateMini } from "@date-fns/utc/date/mini";
import { format } from "date-fns";

/** What a clock on the wall of a zone shows. */
export interface WallTime {
  /** YYYY-MM-DD. */
  readonly date: string;
  /** Minutes after midnight as the clock shows them: 90 at half past one, also on days when the clocks change. */
  readonly minute: number;
}

const MINUTES_PER_HOUR = 60;
const MINUTES_PER_DAY = 24 * MINUTES_PER_HOUR;

/** @param timeZone - A name of the zone data base. */
export function readWallClock(instant: Date, timeZone: string): WallTime {
  const there = new TZDate(instant, timeZone);
  return {
    date: format(there, "yyyy-MM-dd"),
    minute: there.getHours() * MINUTES_PER_HOUR + there.getMinutes(),
  };
}

/**
 * The instant at which the wall clock shows a minute of a date. An hour that is skipped counts on from before it; of an
 * hour that comes twice it is the first.
 * @param minute - May lie before the date's midnight or after its end: whole days are then taken by the calendar.
 */
export function toInstant(date: string, minute: number, timeZone: string): Date {
  const days = Math.floor(minute / MINUTES_PER_DAY);
  const ofDay = minute - days * MINUTES_PER_DAY;
  const [year = 0, month = 1, day = 1] = date.split("-").map(Number);
  const there = new TZDate(
    year,
    month - 1,
    day + days,
    Math.floor(ofDay / MINUTES_PER_HOUR),
    ofDay % MINUTES_PER_HOUR,
    timeZone,
  );
  return new Date(there.getTime());
}

/** Where a date stands against now. */
export type DayPhase = "ahead" | "today" | "over";

export function findPhase(date: string, now: WallTime): DayPhase {
  if (date === now.date) return "today";
  return date > now.date ? "ahead" : "over";
}

/** Minutes after the date's midnight that it is now; null for a day to come, which is planned from its opening, and for one that is over, which is looked back on as it was. */
export const findNowMin = (date: string, now: WallTime): number | null =>
  findPhase(date, now) === "today" ? now.minute : null;

/** The last instant of a date, UTC, ISO 8601. */
export const findEndIso = (date: string, timeZone: string): string =>
  new Date(toInstant(date, MINUTES_PER_DAY, timeZone).getTime() - 1).toISOString();

/** The date after it. */
export function nextDate({ date }: WallTime): string {
  const [year = 0, month = 1, day = 1] = date.split("-").map(Number);
  return format(new UTCDateMini(year, month - 1, day + 1), "yyyy-MM-dd");
}

/** The zone that this computer goes by. */
export const findComputersZone = (): string => new Intl.DateTimeFormat().resolvedOptions().timeZone;
