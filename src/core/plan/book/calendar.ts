import { tz } from "@date-fns/tz";
import { addDays as addCalendarDays, format, parse } from "date-fns";

const PATTERN = "yyyy-MM-dd";
/** Calendar dates are counted where no clock ever changes. */
const PLAIN = { in: tz("UTC") };

/** The date so many days after another, both YYYY-MM-DD. */
export function addDays(date: string, days: number): string {
  return format(addCalendarDays(parse(date, PATTERN, 0, PLAIN), days), PATTERN, PLAIN);
}
