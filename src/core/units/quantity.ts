import { because, fail, ok, type Result } from "../result";
import type { ParseFailure } from "./parseFailure";
import { parseNumber } from "./parseNumber";
import { findUnit, listUnits, type MeasureSystem, type Unit } from "./unitTable";

/**
 * How much of an ingredient, as it was written. `low` and `high` are in the written unit; they differ for a
 * range such as `6–8 tbsp`. Counted things have no unit.
 */
export type Quantity =
  | {
      readonly kind: "measured";
      readonly low: number;
      readonly high: number;
      readonly unit: Unit;
      readonly about: boolean;
    }
  | { readonly kind: "counted"; readonly low: number; readonly high: number; readonly about: boolean }
  | { readonly kind: "toTaste" };

/** A quantity found in a text, and what stands around it. */
export interface FoundQuantity {
  readonly quantity: Quantity;
  /** The text without the quantity and without a second measure in brackets. */
  readonly rest: string;
}

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?\s*[-\s]\s*\d+\s*[/⁄]\s*\d+|\d+\s*[/⁄]\s*\d+|\d*\s?[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]|\d+(?:[.,]\d+)?|[.,]\d+)`;
const QUANTITY = new RegExp(
  String.raw`^(about |approx\.? |approximately |around |ca\.? |~ ?|roughly |scant |heaped )?(${NUMBER})(?:\s*(?:–|—|-|\bto\b|\bor\b)\s*(${NUMBER}))?\s*`,
  "i",
);
/** Words that stand for one: “a pinch”, “an egg”. */
const ONE = /^(a|an|one)\s+(?=\S)/i;
const TO_TASTE = /[,\s]*\b(to taste|as needed|as required|for dusting|for rolling)\b\.?/i;

/**
 * Finds how much at the beginning of a line (`1½ c flour`), or at its end (`flour 200 g`, `salt to taste`).
 * A second measure of the same amount in brackets, `200 g (7 oz)`, is dropped: the first one counts.
 * @returns The quantity with the rest of the text; or what could not be read.
 */
export function findQuantity(text: string, system: MeasureSystem): Result<FoundQuantity, ParseFailure> {
  const line = text.trim().replace(/\s+/g, " ");
  if (line === "") return fail(because("noAmountTyped", {}));
  if (TO_TASTE.test(line)) {
    const taste = line.replace(TO_TASTE, "").replace(/^[,\s]+/, "");
    if (!/\d/.test(taste)) return ok({ quantity: { kind: "toTaste" }, rest: taste });
  }
  const atStart = readAtStart(line, system);
  if (atStart) return atStart;
  // At the end: the last run that reads whole as a quantity.
  for (const match of line.matchAll(/(?:^|[\s,:–-])(?=(?:about |~)?[\d½⅓⅔¼¾⅛.,])/g)) {
    const from = match.index + match[0].length;
    const atEnd = readAtStart(line.slice(from), system);
    const before = line.slice(0, match.index).replace(/[\s,:–-]+$/, "");
    if (atEnd?.ok && atEnd.value.rest === "" && before !== "") return ok({ ...atEnd.value, rest: before });
  }
  return fail(because("noAmountIn", { shown: line.slice(0, 32) }));
}

function readAtStart(line: string, system: MeasureSystem): Result<FoundQuantity, ParseFailure> | null {
  const one = ONE.exec(line);
  const match = QUANTITY.exec(one ? `1 ${line.slice(one[0].length)}` : line);
  if (!match) return null;
  const source = one ? `1 ${line.slice(one[0].length)}` : line;
  const [whole, aboutText, lowText = "", highText] = match;
  const low = parseNumber(tidy(lowText));
  if (!low.ok) return low;
  const high = highText === undefined ? low : parseNumber(tidy(highText));
  if (!high.ok) return high;
  if (high.value < low.value) return fail(because("rangeFalls", { low: lowText, high: highText ?? lowText }));
  const after = source.slice(whole.length);
  const { unit, rest } = splitUnitWord(after, system);
  const about = aboutText !== undefined;
  const sizes = { low: low.value, high: high.value, about };
  if (!unit) return ok({ quantity: { kind: "counted", ...sizes }, rest: dropBrackets(after) });
  return ok({
    quantity: { kind: "measured", ...sizes, unit },
    rest: dropBrackets(rest).replace(/^of\s+/i, ""),
  });
}

const tidy = (text: string) =>
  text
    .trim()
    .replace(/\s*([/⁄])\s*/g, "$1")
    .replace(/\s*-\s*/, "-");

/** The unit a text begins with; the longest spelling wins, and it must end at a word's end. */
function splitUnitWord(text: string, system: MeasureSystem): { unit: Unit | null; rest: string } {
  const units = listUnits(system).filter(({ dimension }) => dimension === "mass" || dimension === "volume");
  const words = text.split(" ");
  for (const count of [2, 1]) {
    const candidate = words.slice(0, count).join(" ").toLowerCase().replace(/\./g, "").replace(/,$/, "");
    const unit = words.length >= count && candidate !== "" ? findUnit(units, candidate, "volume") : null;
    if (unit) return { unit, rest: words.slice(count).join(" ") };
  }
  return { unit: null, rest: text };
}

/** Takes a second measure in brackets off the front: `(7 oz) flour` is `flour`. */
const dropBrackets = (text: string) =>
  text
    .trim()
    .replace(/^[(/]\s*[^)]*\d[^)]*\)\s*/, "")
    .trim();

/** The quantity as it can be read again: `6–8 tbsp`, `about 1.5 lb`, `2`, `to taste`. */
export function formatQuantity(quantity: Quantity): string {
  if (quantity.kind === "toTaste") return "to taste";
  const { low, high, about } = quantity;
  const number = (value: number) => String(Number(value.toPrecision(12)));
  const range = high > low ? `${number(low)}–${number(high)}` : number(low);
  const unit = quantity.kind === "measured" ? ` ${quantity.unit.spellings[0]}` : "";
  return `${about ? "about " : ""}${range}${unit}`;
}
