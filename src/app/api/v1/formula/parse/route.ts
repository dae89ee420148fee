import { mergeIngredients, parseFormulaText, standardIngredients } from "@/core/formula";
import { validateParse } from "@/schemas/calculators";
import { calculator } from "../../../calculator";

/** A long text and a kitchen's own ingredients, bytes. */
const MAX_TEXT_BYTES = 1_000_000;

/** A formula's text in; its lines as understood, with confidence and questions, out. */
export const POST = calculator({
  validate: validateParse,
  maxBytes: MAX_TEXT_BYTES,
  answer: ({ text, system, eggSize, ingredients }) =>
    Response.json(
      parseFormulaText(text, {
        system,
        eggSize,
        ingredients: mergeIngredients(standardIngredients, ingredients),
      }),
    ),
});
