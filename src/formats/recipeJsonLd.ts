import { computeTotalG, parseFormulaText, type KitchenRule, type ParsedFormula } from "@/core/formula";
import { fail, ok, type Result } from "@/core/result";
import type { Formula } from "@/schemas/model";

/**
 * schema.org Recipe as JSON-LD. What schema.org has words for is written in them; the whole formula stands beside it as
 * JSON under a term of our own context, so that reading our own file back loses nothing and nobody takes it for theirs.
 * @see https://schema.org/Recipe
 * @see https://www.w3.org/TR/json-ld11/#json-literals
 */
const FORMULA_TERM = "tezgah:formula";
const CONTEXT = ["https://schema.org", { tezgah: "urn:tezgah:", [FORMULA_TERM]: { "@type": "@json" } }];
/** Files of before have the formula as a PropertyValue of this name. */
const FORMER_PROPERTY = "tezgah-formula";

/** What a file held: a formula of ours whole, or a recipe's text as far as it could be read. */
export type ReadFormula =
  | { readonly kind: "whole"; readonly document: unknown }
  | { readonly kind: "text"; readonly parsed: ParsedFormula };

/** The formula as a JSON-LD document, indented. */
export function toRecipeJsonLd(formula: Formula): string {
  const { handsMin, waitMin } = sumTimes(formula);
  const document = {
    "@context": CONTEXT,
    "@type": "Recipe",
    name: formula.name,
    recipeCategory: formula.kind,
    // UN/CEFACT: grams.
    recipeYield: { "@type": "QuantitativeValue", value: Math.round(computeTotalG(formula)), unitCode: "GRM" },
    prepTime: toIsoDuration(handsMin),
    totalTime: toIsoDuration(handsMin + waitMin),
    recipeIngredient: formula.lines.map(({ amountText, name }) => `${amountText} ${name}`),
    recipeInstructions: formula.steps.map((text) => ({ "@type": "HowToStep", text })),
    [FORMULA_TERM]: formula,
  };
  return `${JSON.stringify(document, null, 2)}\n`;
}

/** Minutes of hands, and those in which it stands, cooks or rests by itself. */
function sumTimes(formula: Formula): { readonly handsMin: number; readonly waitMin: number } {
  if (formula.kind === "dough") return { handsMin: formula.mixMin, waitMin: formula.restMin };
  return {
    handsMin: formula.making.reduce((sum, step) => sum + step.handsMin, 0),
    waitMin: formula.making.reduce((sum, { kind, minutes }) => sum + (kind === "keepHot" ? 0 : minutes), 0),
  };
}

/** ISO 8601: `PT1H30M`. */
const toIsoDuration = (minutes: number): string => {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  return `PT${hours > 0 ? `${hours}H` : ""}${whole % 60 > 0 || hours === 0 ? `${whole % 60}M` : ""}`;
};

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
  if (isRecord(recipe[FORMULA_TERM])) return ok({ kind: "whole", document: recipe[FORMULA_TERM] });
  const former = listOf(recipe.additionalProperty).find(
    (property) => isRecord(property) && property.propertyID === FORMER_PROPERTY,
  );
  if (isRecord(former)) return ok({ kind: "whole", document: former.value });
  const lines = listOf(recipe.recipeIngredient).filter((line) => typeof line === "string");
  if (lines.length === 0)
    return fail("This recipe has no recipeIngredient list, so there is nothing to weigh.");
  const steps = listSteps(recipe.recipeInstructions, 0);
  const name = typeof recipe.name === "string" ? recipe.name : "";
  const parsed = parseFormulaText(["Ingredients:", ...lines, "Method:", ...steps].join("\n"), rule);
  return ok({ kind: "text", parsed: { ...parsed, name } });
}

/** Steps in their order, those of a section too, the first of these after the section's name. */
function listSteps(instructions: unknown, depth: number): string[] {
  if (depth > DEEPEST) return [];
  return listOf(instructions).flatMap((step): string[] => {
    if (typeof step === "string") return [step];
    if (!isRecord(step)) return [];
    const [first, ...rest] = listSteps(step.itemListElement, depth + 1);
    if (first === undefined) return typeof step.text === "string" ? [step.text] : [];
    return [typeof step.name === "string" && step.name !== "" ? `${step.name}: ${first}` : first, ...rest];
  });
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
