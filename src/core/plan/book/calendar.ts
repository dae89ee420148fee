import { UTCDateMini } from "@date-fns/utc/date/mini";
import { addDays as addCalendarDays, format, getISODay, parse } from "date-fns";
import { createMemory } from "../../createMemory";

const PATTERN = "yyyy-MM-dd";
/**
 * Calendar dates are counted where no clock ever changes: a day that no zone is asked about, for a browser takes 50 ms
 * to learn its first.
 */
const PLAIN = { in: (value: number | string | object) => new UTCDateMini(Number(value)) };
/** A plan asks for the same few days hundreds of times, and a date is slow to read. */
const MOST_DAYS = 200;
const remember = createMemory<string>(MOST_DAYS);

/**
 * The date so many days after another, both YYYY-MM-DD.
 * @example addDays("2026-12-31", 1) // "2027-01-01"
 */
export const addDays = (date: string, days: number): string =>
  remember(`${date} ${days}`, () =>
    format(addCalendarDays(parse(date, PATTERN, 0, PLAIN), days), PATTERN, PLAIN),
  );

/**
 * The day of the week of a date, YYYY-MM-DD: Monday 1 to Sunday 7.
 * @example findWeekday("2026-11-28") // 6
 */
export const findWeekday = (date: string): number => getISODay(parse(date, PATTERN, 0, PLAIN), PLAIN);

/**
 * A date as people say it: `29 Nov`.
 * @example sayDate("2026-11-29") // "29 Nov"
 */
export const sayDate = (date: string): string =>
  remember(`say ${date}`, () => format(parse(date, PATTERN, 0, PLAIN), "d MMM", PLAIN));

/** Times of the year, as kitchens and flour feel them on either half of the earth. */
const seasons = ["dec-feb", "mar-may", "jun-aug", "sep-nov"] as const;
export type Season = (typeof seasons)[number];
export const seasonNames: Readonly<Record<Season, string>> = {
  "dec-feb": "December to February",
  "mar-may": "March to May",
  "jun-aug": "June to August",
  "sep-nov": "September to November",
};

/** @param date - YYYY-MM-DD. */
export const findSeason = (date: string): Season =>
  seasons[Math.floor((Number(date.slice(5, 7)) % 12) / 3)] ?? "dec-feb";
