import type { Result } from "@/core/result";
import {
  findShownUnit,
  G_PER_KG,
  parseDuration,
  parseLength,
  parseMass,
  parseNumber,
  parseOvenSetting,
  toFahrenheit,
  toStillC,
  type ParseFailure,
} from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import type { Limit } from "@/schemas/limits";

const PERCENT = 100;

/** Shares are stored as fractions of 1 and shown in percent. */
export function isShareLimit({ unit, max }: Limit): boolean {
  return unit === "" && max <= 1;
}

/** A dial's figure as it stands in its field, in the house's unit. */
export const toDialText = (value: number, limit: Limit): string =>
  findShownUnit(limit.unit).write(isShareLimit(limit) ? value * PERCENT : value);

/** What was typed into a dial, in the limit's unit; or what is wrong with it, by how much. */
export function parseDial(
  text: string,
  limit: Limit,
): { readonly value: number } | { readonly fault: string } {
  const isShare = isShareLimit(limit);
  const parsed = parseIn(text, isShare ? "%" : limit.unit);
  if (!parsed.ok) return { fault: sayParseFailure(parsed.failure) };
  const value = isShare ? parsed.value / PERCENT : parsed.value;
  const percent: Limit = { ...limit, unit: "%", min: limit.min * PERCENT, max: limit.max * PERCENT };
  const within = toReachedLimit(value, limit);
  const fault = isShare ? describeLimitFault(parsed.value, percent) : describeLimitFault(within, limit);
  return fault ? { fault } : { value: within };
}

/** What reads like a limit in the house's unit is the limit: 600 mm are told as 23 5/8 in, which are 600.07. */
const toReachedLimit = (value: number, { min, max, unit }: Limit): number => {
  const { factor, write } = findShownUnit(unit);
  if (factor === 1) return value;
  return [min, max].find((limit) => write(limit) === write(value)) ?? value;
};

type Parsed = Result<number, ParseFailure>;

const MINUTES_PER_DAY = 24 * 60;
const SECONDS_PER_MINUTE = 60;

/** Units that dials have, each read in any unit of its kind; what is left takes its own unit or none. */
const readers: Readonly<Record<string, (text: string) => Parsed>> = {
  mm: (text) => parseLength(text),
  g: (text) => parseMass(text),
  kg: (text) => scale(parseMass(text, "large"), 1 / G_PER_KG),
  min: (text) => parseDuration(text),
  s: (text) => scale(parseDuration(text, 1 / SECONDS_PER_MINUTE), SECONDS_PER_MINUTE),
  days: (text) => scale(parseDuration(text, MINUTES_PER_DAY), 1 / MINUTES_PER_DAY),
  W: (text) => (/kw$/i.test(text.trim()) ? scale(readOwn(text, "kW"), 1000) : readOwn(text, "W")),
  kW: (text) =>
    /kw$/i.test(text.trim()) || !/w$/i.test(text.trim())
      ? readOwn(text, "kW")
      : scale(readOwn(text, "W"), 1 / 1000),
  "°C"(text) {
    // Oven settings, `gas 6`, `410 F` and `180 fan` too, as a still oven's degrees.
    const setting = parseOvenSetting(text);
    return setting.ok ? { ok: true, value: toStillC(setting.value) } : setting;
  },
  "°F"(text) {
    const bare = parseNumber(text);
    if (bare.ok) return bare;
    const setting = parseOvenSetting(text);
    return setting.ok ? { ok: true, value: toFahrenheit(toStillC(setting.value)) } : setting;
  },
};

/** Decimals of a figure that is read: what a dial shows. */
const DECIMALS = 2;
/** Of kilograms where the house says pounds: a hundredth of one is 4.5 g. */
const DECIMALS_OF_POUNDS = 3;

/** A figure in `unit`, rounded to what a dial shows. */
function parseIn(text: string, unit: string): Parsed {
  const read = Object.hasOwn(readers, unit) ? readers[unit] : undefined;
  const parsed = read ? read(text) : readOwn(text, unit);
  const isInPounds = unit === "kg" && findShownUnit(unit).factor !== 1;
  const decimals = isInPounds ? DECIMALS_OF_POUNDS : DECIMALS;
  return parsed.ok && read ? { ok: true, value: Number(parsed.value.toFixed(decimals)) } : parsed;
}

/** A bare number, or one with the dial's own unit behind it. */
function readOwn(text: string, unit: string): Parsed {
  const shown = text.trim();
  const hasUnit = unit !== "" && shown.toLowerCase().endsWith(unit.toLowerCase());
  return parseNumber(hasUnit ? shown.slice(0, -unit.length) : shown);
}

const scale = (parsed: Parsed, by: number): Parsed =>
  parsed.ok ? { ok: true, value: parsed.value * by } : parsed;
