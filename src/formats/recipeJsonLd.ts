import { parseFormulaText, type KitchenRule, type ParsedFormula } from "@/core/formula";
import { fail, ok, type Result } from "@/core/result";
import type { Formula } from "@/schemas/model";

/**
 * schema.org Recipe as JSON-LD. What schema.org has words for is written in them; the whole formula stands beside
 * it as a PropertyValue, so that reading our own file back loses nothing.
 * @see https://schema.org/Recipe
 */
const FORMULA_PROPERTY = "tezgah-formula";

/** What a file held: a formula of ours whole, or a recipe's text as far as it could be read. */
export type ReadFormula =
  | { readonly kind: "whole"; readonly document: unknown }
  | { readonly kind: "text"; readonly parsed: ParsedFormula };

/** The formula as a JSON-LD document, indented. */
export function toRecipeJsonLd(formula: Formula): string {
  const document = {
    "@context": "https://schema.org",
    "@type": "Recipe",
    name: formula.name,
    recipeCategory: formula.kind,
    recipeIngredient: formula.lines.map(({ amountText, name }) => `${amountText} ${name}`),
    recipeInstructions: formula.steps.map((text) => ({ "@type": "HowToStep", text })),
    additionalProperty: { "@type": "PropertyValue", propertyID: FORMULA_PROPERTY, value: formula },
  };
  return `${JSON.stringify(document, null, 2)}\n`;
}

/** Reads a JSON-LD recipe, ours or another's, alone, in a list or in a graph. */
export function fromRecipeJsonLd(text: string, rule: KitchenRule): Result<ReadFormula, string> {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return fail(`This is no JSON: ${error instanceof Error ? error.message : String(error)}`);
  }
  const recipe = findRecipe(document, 0);
  if (!recipe) return fail("There is no schema.org Recipe in this file: nothing has “@type”: “Recipe”.");
  const own = listOf(recipe.additionalProperty).find(
    (property) => isRecord(property) && property.propertyID === FORMULA_PROPERTY,
  );
  if (isRecord(own)) return ok({ kind: "whole", document: own.value });
  const lines = listOf(recipe.recipeIngredient).filter((line) => typeof line === "string");
  if (lines.length === 0)
    return fail("This recipe has no recipeIngredient list, so there is nothing to weigh.");
  const steps = listOf(recipe.recipeInstructions).flatMap((step) =>
    typeof step === "string" ? [step] : isRecord(step) && typeof step.text === "string" ? [step.text] : [],
  );
  const name = typeof recipe.name === "string" ? recipe.name : "";
  const parsed = parseFormulaText(["Ingredients:", ...lines, "Method:", ...steps].join("\n"), rule);
  return ok({ kind: "text", parsed: { ...parsed, name } });
}

/** Deepest nesting searched: a page's graph holds its recipe two or three levels down. */
const DEEPEST = 6;

function findRecipe(value: unknown, depth: number): Record<string, unknown> | null {
  if (depth > DEEPEST) return null;
  if (Array.isArray(value)) {
    for (const each of value) {
      const found = findRecipe(each, depth + 1);
      if (found) return found;
    }
    return null;
  }
  if (!isRecord(value)) return null;
  return listOf(value["@type"]).includes("Recipe") ? value : findRecipe(value["@graph"], depth + 1);
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const listOf = (value: unknown): unknown[] =>
  value === undefined ? [] : Array.isArray(value) ? value : [value];
