import { addDays as addCalendarDays, format, parse } from "date-fns";

const PATTERN = "yyyy-MM-dd";
/** Any fixed day: only the date is read. */
const REFERENCE = parse("2000-01-01", PATTERN, 0);

/** The local date so many days after another, both YYYY-MM-DD. */
export function addDays(date: string, days: number): string {
  return format(addCalendarDays(parse(date, PATTERN, REFERENCE), days), PATTERN);
}
