import type { LineFailure } from "./formulaFailure";
import { parseLine, type KitchenRule, type ParsedLine } from "./parseLine";
import { splitJoined } from "./spellOut";

/** A pasted formula: its lines as understood, its steps, and what could not be read. */
export interface ParsedFormula {
  readonly name: string;
  readonly lines: readonly ParsedLine[];
  readonly steps: readonly string[];
  /** Lines that hold no amount and are no step, with what is wrong with them. */
  readonly unread: readonly { readonly text: string; readonly why: LineFailure }[];
}

/** Most lines of a paste that are read: a formula has fewer, a pasted book more. */
const MAX_PASTED_LINES = 200;
/** A line this long tells what to do, not what to take. */
const STEP_FROM_CHARACTERS = 90;
/** A heading names what follows. */
const LINES_HEADING = /^(ingredients?|you need|for the [^:.]*)\s*:?$/i;
const STEPS_HEADING = /^(method|directions|instructions|steps|preparation|how to.*)\s*:?$/i;
/** `1.`, `2)`, `Step 3:` and bullets before a line. */
const LIST_MARK = /^(?:[-*•·▢☐]\s+|step\s+\d+\s*[:.)]?\s*|\d+[.)]\s+(?=\D))/i;

/**
 * Reads a pasted formula line by line: the first line without an amount is its name; after a heading such as
 * `Method`, or where a line is long or numbered without an amount, its steps.
 */
export function parseFormulaText(text: string, rule: KitchenRule): ParsedFormula {
  const rows = text
    .split(/\r?\n/)
    .map((row) => row.trim())
    .filter((row) => row !== "")
    .slice(0, MAX_PASTED_LINES);
  let name = "";
  let inSteps = false;
  const lines: ParsedLine[] = [];
  const steps: string[] = [];
  const unread: { text: string; why: LineFailure }[] = [];
  for (const row of rows) {
    if (STEPS_HEADING.test(row)) inSteps = true;
    else if (LINES_HEADING.test(row)) inSteps = false;
    else {
      const bare = row.replace(LIST_MARK, "");
      const joined = inSteps || bare.length >= STEP_FROM_CHARACTERS ? [] : splitJoined(bare);
      if (joined.length > 1) {
        for (const each of joined) {
          const one = parseLine(each, rule);
          if (one.ok) lines.push(one.value);
          else unread.push({ text: each, why: one.failure });
        }
        continue;
      }
      const parsed = inSteps || bare.length >= STEP_FROM_CHARACTERS ? null : parseLine(bare, rule);
      if (parsed?.ok) lines.push(parsed.value);
      else if (parsed === null || (LIST_MARK.test(row) && lines.length > 0)) steps.push(bare);
      else if (name === "" && lines.length === 0) name = bare.replace(/:$/, "");
      else unread.push({ text: row, why: parsed.failure });
    }
  }
  return { name, lines, steps, unread };
}
