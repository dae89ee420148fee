"use server";

import { mergeIngredients, standardIngredients, type KitchenRule } from "@/core/formula";
import { fail, ok, type Result } from "@/core/result";
import { getStore } from "@/data/getStore";
import type { FormulaEdition } from "@/data/formulaEditions";
import { readFormulaFile, type ReadFormula } from "@/formats";
import { firstKitchen } from "@/schemas/firstKitchen";
import type { Formula } from "@/schemas/model";
import { pickRecords } from "@/schemas/toDayBook";
import { validateFormula } from "@/schemas/validate";

/** Every edition of a formula, oldest first; empty for an id that was never written. */
export async function listEditions(formulaId: unknown): Promise<readonly FormulaEdition[]> {
  return typeof formulaId === "string" ? getStore().listEditions(formulaId) : [];
}

/** What a pasted or dropped text holds: a formula whole, or lines as far as they could be read. */
export type ReadAnswer =
  { readonly kind: "whole"; readonly formula: Formula } | Extract<ReadFormula, { kind: "text" }>;

/** Reads a formula from a text with this kitchen's measures. Stores nothing. */
export async function readFormula(text: unknown): Promise<Result<ReadAnswer, string>> {
  if (typeof text !== "string") return fail("There is nothing to read yet.");
  const read = readFormulaFile(text, readKitchenRule());
  if (!read.ok) return read;
  if (read.value.kind === "text") return ok(read.value);
  const formula = validateFormula(read.value.document);
  if (formula.ok) return ok({ kind: "whole", formula: formula.value });
  const [first] = formula.failure;
  return fail(`This file's formula breaks a rule at ${first?.path || "its top"}: ${first?.message ?? ""}`);
}

function readKitchenRule(): KitchenRule {
  const records = getStore().listRecords();
  const { system, eggSize } = pickRecords(records, "kitchen")[0] ?? firstKitchen;
  return {
    system,
    eggSize,
    ingredients: mergeIngredients(standardIngredients, pickRecords(records, "ingredient")),
  };
}
