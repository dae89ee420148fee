import { mergeIngredients, standardIngredients, type KitchenRule } from "@/core/formula";
import { fail, ok, type Result } from "@/core/result";
import { eggSizes } from "@/core/units";
import { getStore } from "@/data/getStore";
import { readFormulaFile } from "@/formats";
import { firstKitchen } from "@/schemas/firstKitchen";
import { MAX_PASTE_CHARACTERS } from "@/schemas/limits";
import { validateFormula } from "@/schemas/validate";
import type { ReadAnswer } from "@/ui/formula/readFormula";
import { readJson, refuse } from "../../readJson";
import { stored } from "../../stored";

/** Each character may take four bytes. */
const MAX_TEXT_BYTES = 4 * MAX_PASTE_CHARACTERS + 1000;

/** A pasted or dropped text in; the formula it holds out, read with this kitchen's measures. Stores nothing. */
export const POST = stored(async (request: Request): Promise<Response> => {
  const body = await readJson(request, MAX_TEXT_BYTES);
  if (!body.ok) return body.failure;
  const { text, system, eggSize } = (body.value ?? {}) as Readonly<Record<string, unknown>>;
  if (typeof text !== "string") return refuse([{ path: "text", message: "There is nothing to read yet." }]);
  const rule = readKitchenRule();
  return Response.json(
    readFormula(text, {
      ...rule,
      system: systems.find((each) => each === system) ?? rule.system,
      eggSize: eggSizes.find((each) => each === eggSize) ?? rule.eggSize,
    }),
  );
});

/** What a page shows may not be stored yet: it says which cups and eggs it reads by. */
const systems = ["metric", "us", "imperial"] as const;

function readFormula(text: string, rule: KitchenRule): Result<ReadAnswer, string> {
  const read = readFormulaFile(text, rule);
  if (!read.ok) return read;
  if (read.value.kind === "text") return ok(read.value);
  const formula = validateFormula(read.value.document);
  if (formula.ok) return ok({ kind: "whole", formula: formula.value });
  const [first] = formula.failure;
  return fail(`This file's formula breaks a rule at ${first?.path || "its top"}: ${first?.message ?? ""}`);
}

function readKitchenRule(): KitchenRule {
  const { kitchen, ingredients } = getStore().readKitchen();
  const { system, eggSize } = kitchen ?? firstKitchen;
  return { system, eggSize, ingredients: mergeIngredients(standardIngredients, ingredients) };
}
