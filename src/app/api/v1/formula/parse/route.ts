import { mergeIngredients, parseFormulaText, standardIngredients } from "@/core/formula";
import { validateParse } from "@/schemas/calculators";
import { readJson, refuse } from "../../../readJson";

/** A formula's text in; its lines as understood, with confidence and questions, out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateParse(body.value);
  if (!document.ok) return refuse(document.failure);
  const { text, system, eggSize, ingredients } = document.value;
  return Response.json(
    parseFormulaText(text, {
      system,
      eggSize,
      ingredients: mergeIngredients(standardIngredients, ingredients),
    }),
  );
}
