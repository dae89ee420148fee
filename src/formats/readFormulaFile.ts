import { parseFormulaText, type KitchenRule } from "@/core/formula";
import { sayFailure } from "@/core/words";
import { fail, ok, type Result } from "@/core/result";
import { MAX_PASTE_CHARACTERS } from "@/schemas/limits";
import { fromFormulaCsv } from "./formulaCsv";
import { fromRecipeJsonLd, type ReadFormula } from "./recipeJsonLd";

/** Control characters that no text holds: what has them is no text. */
const NOT_TEXT = /[\u0000-\u0008\u000e-\u001f\ufffd]/;

/**
 * Reads a formula from whatever was pasted or dropped: JSON-LD, CSV or plain text, told apart by how it begins.
 * @returns What it held, or a sentence saying why nothing can be read.
 */
export function readFormulaFile(text: string, rule: KitchenRule): Result<ReadFormula, string> {
  if (text.length > MAX_PASTE_CHARACTERS) {
    return fail(
      `This is ${text.length} characters long, ${text.length - MAX_PASTE_CHARACTERS} too many for a formula. Paste one formula only.`,
    );
  }
  if (NOT_TEXT.test(text)) return fail("This is no text. Open it where it was made and copy its text.");
  const shown = text.trim();
  if (shown === "") return fail("There is nothing to read yet.");
  if (/^[[{]/.test(shown)) return fromRecipeJsonLd(shown, rule);
  const [heading = ""] = shown.split(/\r?\n/);
  if (/(^|[,;\t])"?(row|ingredient|amount)"?\s*([,;\t]|$)/i.test(heading)) return fromFormulaCsv(shown, rule);
  const parsed = parseFormulaText(shown, rule);
  if (parsed.lines.length === 0) {
    const [first] = parsed.unread;
    return fail(
      `No line has an amount. Write one ingredient a line, like “250 g flour”. ${first ? sayFailure(first.why) : ""}`,
    );
  }
  return ok({ kind: "text", parsed });
}
