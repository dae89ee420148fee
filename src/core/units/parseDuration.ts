import { because, fail, ok, type Result } from "../result";
import type { ParseFailure } from "./parseFailure";
import { parseNumber } from "./parseNumber";

/** Minutes of each unit, by how people write it. */
const MINUTES_OF: Readonly<Record<string, number>> = {
  ...{ s: 1 / 60, sec: 1 / 60, secs: 1 / 60, second: 1 / 60, seconds: 1 / 60 },
  ...{ min: 1, mins: 1, m: 1, minute: 1, minutes: 1 },
  ...{ h: 60, hr: 60, hrs: 60, hour: 60, hours: 60 },
  ...{ d: 1440, day: 1440, days: 1440 },
};
/** What a bare number after a unit counts in: `1 h 30` is thirty minutes, `2 min 30` seconds. */
const NEXT: Readonly<Record<number, number>> = { 1440: 60, 60: 1, 1: 1 / 60 };

/** A number with what follows it, up to the next number after a unit. */
const PART = /\s*([\d.,/½⅓⅔¼¾⅛⅜⅝⅞]+(?:\s+\d+\/\d+)?)\s*([a-z]*)\.?/y;

/**
 * Reads a stretch of time: `25`, `25 min`, `1 h 30`, `1h30m`, `1:30` (hours and minutes), `1 1/2 hours`, `90 s`.
 * @param bareMin - What a bare number counts in, minutes: 1 where minutes are asked for, 1/60 for seconds.
 * @returns Minutes, or why it is none. Parts go from the larger unit to the smaller.
 * @example parseDuration("1 h 30") // 90 min
 */
export function parseDuration(text: string, bareMin = 1): Result<number, ParseFailure> {
  const shown = text.trim();
  const plain = shown.toLowerCase().replaceAll(/\band\b/g, " ");
  const clock = /^(\d{1,3}):([0-5]\d)$/.exec(plain);
  if (clock) return ok(Number(clock[1]) * 60 + Number(clock[2]));
  const bare = parseNumber(plain);
  if (bare.ok) return bare.value < 0 ? fail(because("belowZero", { shown })) : ok(bare.value * bareMin);
  if (!/[a-z]/.test(plain)) return bare;
  let [sum, lastMin] = [0, Infinity];
  PART.lastIndex = 0;
  while (PART.lastIndex < plain.trimEnd().length) {
    const part = PART.exec(plain);
    if (!part) return fail(because("noStretchOfTime", { shown: shown.slice(0, 24) }));
    const [, numberText = "", unitText = ""] = part;
    const eachMin =
      unitText === ""
        ? NEXT[lastMin]
        : Object.hasOwn(MINUTES_OF, unitText)
          ? MINUTES_OF[unitText]
          : undefined;
    const number = parseNumber(numberText);
    if (!number.ok) return number;
    if (eachMin === undefined || eachMin >= lastMin)
      return fail(because("noStretchOfTime", { shown: shown.slice(0, 24) }));
    sum += number.value * eachMin;
    lastMin = eachMin;
  }
  return ok(sum);
}
