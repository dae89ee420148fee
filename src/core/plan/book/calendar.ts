import { tz } from "@date-fns/tz";
import { addDays as addCalendarDays, format, parse } from "date-fns";
import { createMemory } from "../../createMemory";

const PATTERN = "yyyy-MM-dd";
/** Calendar dates are counted where no clock ever changes. */
const PLAIN = { in: tz("UTC") };
/** A plan asks for the same few days hundreds of times, and a zone is slow to ask. */
const MOST_DAYS = 200;
const remember = createMemory<string>(MOST_DAYS);

/** The date so many days after another, both YYYY-MM-DD. */
export const addDays = (date: string, days: number): string =>
  remember(`${date} ${days}`, () =>
    format(addCalendarDays(parse(date, PATTERN, 0, PLAIN), days), PATTERN, PLAIN),
  );
