import { parseAmount, parseNumber, parseOvenSetting, toFahrenheit, toStillC } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import type { Limit } from "@/schemas/limits";

const PERCENT = 100;

/** Shares are stored as fractions of 1 and shown in percent. */
export function isShareLimit({ unit, max }: Limit): boolean {
  return unit === "" && max <= 1;
}

/** A dial's figure as it stands in its field. */
export function toDialText(value: number, limit: Limit): string {
  return String(Number((isShareLimit(limit) ? value * PERCENT : value).toFixed(2)));
}

/** What was typed into a dial, in the limit's unit; or what is wrong with it, by how much. */
export function parseDial(
  text: string,
  limit: Limit,
): { readonly value: number } | { readonly fault: string } {
  const isShare = isShareLimit(limit);
  const bare = text.replace("%", "");
  const parsed =
    limit.unit === "mm" || limit.unit === "g" || limit.unit === "°C" || limit.unit === "°F"
      ? parseWithUnit(text, limit.unit)
      : parseNumber(bare);
  if (!parsed.ok) return { fault: sayParseFailure(parsed.failure) };
  const value = isShare ? parsed.value / PERCENT : parsed.value;
  const percent: Limit = { ...limit, unit: "%", min: limit.min * PERCENT, max: limit.max * PERCENT };
  const fault = isShare ? describeLimitFault(parsed.value, percent) : describeLimitFault(value, limit);
  return fault ? { fault } : { value };
}

/** Lengths in any unit as mm, masses as g; oven settings, `gas 6`, `410 F` and `180 fan` too, as a still oven's degrees. */
function parseWithUnit(text: string, unit: "mm" | "g" | "°C" | "°F") {
  const round = (value: number) => ({ ok: true as const, value: Number(value.toFixed(2)) });
  if (unit === "°C") {
    const setting = parseOvenSetting(text);
    return setting.ok ? round(toStillC(setting.value)) : setting;
  }
  if (unit === "°F") {
    const bare = parseNumber(text);
    if (bare.ok) return round(bare.value);
    const setting = parseOvenSetting(text);
    return setting.ok ? round(toFahrenheit(toStillC(setting.value))) : setting;
  }
  const amount = parseAmount(text, {
    dimension: unit === "g" ? "mass" : "length",
    bareUnit: unit,
    system: "metric",
  });
  return amount.ok ? round(amount.value.value) : amount;
}
