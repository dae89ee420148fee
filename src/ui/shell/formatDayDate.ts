import { format, parse } from "date-fns";

/** `Sat 28 November 2026` from `2026-11-28`. */
export function formatDayDate(date: string): string {
  return format(parse(date, "yyyy-MM-dd", new Date(0)), "EEE d MMMM yyyy");
}

/** `Thu 26 Nov` from `2026-11-26`. */
export function formatShortDate(date: string): string {
  return format(parse(date, "yyyy-MM-dd", new Date(0)), "EEE d MMM");
}
