import { parseClock, parseNumber } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { MAX_NAME_CHARACTERS, orderLimits } from "@/schemas/limits";

/** What is wrong with a name, or null. */
export function checkName(text: string): string | null {
  if (text.trim() === "") return "Enter a name.";
  const over = text.trim().length - MAX_NAME_CHARACTERS;
  return over > 0 ? `${over} characters too long. Use up to ${MAX_NAME_CHARACTERS}.` : null;
}

/** What is wrong with a number of pieces, or null. */
export function checkCount(text: string): string | null {
  const parsed = parseNumber(text);
  if (!parsed.ok) return sayParseFailure(parsed.failure);
  if (!Number.isInteger(parsed.value)) return `${text.trim()} pieces cannot be made: use a whole number.`;
  return describeLimitFault(parsed.value, orderLimits.count);
}

/** What is wrong with a time of the day, or null. */
export function checkClock(text: string): string | null {
  const parsed = parseClock(text);
  return parsed.ok ? null : sayParseFailure(parsed.failure);
}
