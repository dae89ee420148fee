import Fraction from "fraction.js";
import { because, fail, ok, type Result } from "../result";
import type { ParseFailure } from "./parseFailure";

const vulgarFractions: Record<string, string> = {
  "½": "1/2",
  "⅓": "1/3",
  "⅔": "2/3",
  "¼": "1/4",
  "¾": "3/4",
  "⅕": "1/5",
  "⅖": "2/5",
  "⅗": "3/5",
  "⅘": "4/5",
  "⅙": "1/6",
  "⅚": "5/6",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
};
const vulgarPattern = new RegExp(`[${Object.keys(vulgarFractions).join("")}]`, "g");

/** Longest text taken as a number: longer is a paste gone wrong, and would cost time to no use. */
const MAX_NUMBER_CHARACTERS = 24;

/**
 * Reads a number as people write it: `3`, `1.5`, `1,5`, `1/2`, `1 1/2`, `2-1/4`, `½`, `1½`, `1⁄8`, `-4`.
 * @returns The value, or why it is none. `1,000` is refused: it could mean 1 or 1000.
 * @example parseNumber("1 1/2") // 1.5
 * @example parseNumber("1,5") // 1.5
 */
export function parseNumber(text: string): Result<number, ParseFailure> {
  const shown = text.trim();
  if (shown === "") return fail(because("noNumberTyped", {}));
  if (shown.length > MAX_NUMBER_CHARACTERS)
    return fail(because("numberTooLong", { shown: `${shown.slice(0, 12)}…` }));
  if (/^\d{1,3},\d{3}$/.test(shown)) return fail(because("doubtfulComma", { shown }));
  const plain = shown
    .replace(/[−–]/g, "-")
    .replace("⁄", "/")
    .replace(vulgarPattern, (glyph) => ` ${vulgarFractions[glyph]}`)
    .replace(/(\d),(\d)/, "$1.$2")
    .replace(/^(\d+)-(?=\d+\/)/, "$1 ")
    .trim()
    .replace(/\s+/g, " ");
  if (!/^-?(\d+(\.\d+)?|\.\d+|\d+ \d+\/\d+|\d+\/\d+)$/.test(plain))
    return fail(because("notANumber", { shown }));
  if (/\/0+$/.test(plain)) return fail(because("dividesByZero", { shown }));
  return ok(new Fraction(plain).valueOf());
}
