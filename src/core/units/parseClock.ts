import { because, fail, ok, type Result } from "../result";
import type { ParseFailure } from "./parseFailure";

/**
 * Reads a time of the day: `9`, `9:00`, `09.30`, `0930`, `5:15 am`, `2 pm`.
 * @returns Minutes after midnight, 0–1439, or why it is none.
 * @example parseClock("2:30 pm") // 870 min
 */
export function parseClock(text: string): Result<number, ParseFailure> {
  const shown = text.trim().toLowerCase();
  const match = /^(\d{1,2})(?:[:.h]?([0-5]\d))?\s*(am|pm)?$/.exec(shown);
  const hour = Number(match?.[1]);
  const half = match?.[3];
  if (!match || hour > (half ? 12 : 23) || (half && hour === 0)) {
    return fail(because("noTimeOfDay", { shown: text.trim().slice(0, 16) }));
  }
  const hour24 = half ? (hour % 12) + (half === "pm" ? 12 : 0) : hour;
  return ok(hour24 * 60 + Number(match[2] ?? 0));
}
