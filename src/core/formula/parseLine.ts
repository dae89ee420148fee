import { fail, ok, type Result } from "../result";
import {
  computeEggG,
  findQuantity,
  formatQuantity,
  type EggPart,
  type EggSize,
  type MeasureSystem,
  type Quantity,
} from "../units";
import type { Ingredient } from "./ingredient";
import { findDensity, findState, matchIngredient } from "./matchIngredient";

/** Whose cups, which eggs, and what is in the book. */
export interface KitchenRule {
  readonly system: MeasureSystem;
  readonly eggSize: EggSize;
  readonly ingredients: readonly Ingredient[];
}

/** One line of a formula as it was understood. */
export interface ParsedLine {
  readonly text: string;
  /** The amount as it was typed, to be shown back. */
  readonly amountText: string;
  readonly name: string;
  readonly ingredientId: string | null;
  /** The entry that is asked about where the name is not sure; null where it is, or nothing comes near. */
  readonly suggestedId: string | null;
  /** Grams; null if they have to be asked for. For a range the least. */
  readonly massG: number | null;
  /** The most of a range; null without one. */
  readonly mostG: number | null;
  /** 1: nothing was guessed. Below `SURE` the line is asked about. */
  readonly confidence: number;
  /** What has to be asked or looked at, in sentences. */
  readonly questions: readonly string[];
}

/** From here on a line is taken as read. */
export const SURE = 0.8;

/** How much each uncertainty takes away. */
const DOUBT = { about: 0.05, unknownName: 0.3, otherState: 0.1, bareCount: 0.25 } as const;

/**
 * Reads a line as people write it, `1½ c plain flour, sifted`, and weighs it: masses as they are, volumes by the
 * density of the ingredient in its state, counts by the mass of a piece, eggs by size and part.
 * @returns The line, with what is to be asked; a sentence if there is no amount in it at all.
 */
export function parseLine(text: string, rule: KitchenRule): Result<ParsedLine, string> {
  const found = findQuantity(text, rule.system);
  if (!found.ok) return found;
  const { quantity, rest } = found.value;
  const name = tidyName(rest);
  if (name === "") return fail(`“${text.trim().slice(0, 32)}” says how much, but not of what.`);
  const match = matchIngredient(name, rule.ingredients);
  const weighed = weigh(quantity, name, match?.ingredient ?? null, rule);
  const questions = [...weighed.questions];
  let confidence = match ? match.score : 1 - DOUBT.unknownName;
  if (match && match.score < SURE) questions.push(`Is “${name}” the book's ${match.ingredient.name}?`);
  confidence -= weighed.doubt;
  return ok({
    text: text.trim(),
    amountText: findAmountText(text, rest, quantity),
    name,
    ingredientId: match && match.score >= SURE ? match.ingredient.id : null,
    suggestedId: match && match.score < SURE ? match.ingredient.id : null,
    massG: weighed.low,
    mostG: weighed.high !== null && weighed.low !== null && weighed.high > weighed.low ? weighed.high : null,
    confidence: weighed.low === null ? 0 : Math.min(Math.max(confidence, 0), 1),
    questions,
  });
}

/** Grams of one line of a formula that is being edited field by field. */
export interface WeighedAmount {
  readonly massG: number;
  readonly mostG: number | null;
  readonly ingredientId: string | null;
}

/**
 * Weighs what stands in an amount field. A bare number is a count for what comes in pieces (`2` eggs), else grams.
 * @param ingredientId - The entry chosen; null to find it by the name.
 * @returns Grams, or a sentence asking for what cannot be known.
 */
export function weighAmount(
  amountText: string,
  name: string,
  ingredientId: string | null,
  rule: KitchenRule,
): Result<WeighedAmount, string> {
  const found = findQuantity(`${amountText.trim()} ${name.trim()}`, rule.system);
  if (!found.ok) return found;
  const match = matchIngredient(name, rule.ingredients);
  const ingredient =
    rule.ingredients.find(({ id }) => id === ingredientId) ??
    (match && match.score >= SURE ? match.ingredient : null);
  const { quantity } = found.value;
  const bare = quantity.kind === "counted" && !ingredient?.pieceG;
  const weighed = bare
    ? { low: quantity.low, high: quantity.high, questions: [] }
    : weigh(quantity, name, ingredient, rule);
  if (weighed.low === null || weighed.high === null) {
    return fail(
      `${weighed.questions[0] ?? "How many grams?"} Write grams, or add it to the ingredient book.`,
    );
  }
  return ok({
    massG: weighed.low,
    mostG: weighed.high > weighed.low ? weighed.high : null,
    ingredientId: ingredient?.id ?? null,
  });
}

/** The amount as typed, where it stands in one piece before the name; else in our own words. */
function findAmountText(text: string, rest: string, quantity: Quantity): string {
  const line = text.trim().replace(/\s+/g, " ");
  const end = line.length - rest.length;
  const typed = line.endsWith(rest) ? line.slice(0, end).trim() : "";
  return typed !== "" ? typed.replace(/\s+of$/i, "") : formatQuantity(quantity);
}

const tidyName = (rest: string) => rest.replace(/^[,:\-–\s]+|[,:\-–\s]+$/g, "");

interface Weighed {
  readonly low: number | null;
  readonly high: number | null;
  readonly doubt: number;
  readonly questions: readonly string[];
}

const unknown = (question: string): Weighed => ({ low: null, high: null, doubt: 1, questions: [question] });

function weigh(quantity: Quantity, name: string, ingredient: Ingredient | null, rule: KitchenRule): Weighed {
  if (quantity.kind === "toTaste") return unknown(`How many grams of ${name} do you take?`);
  const doubt = quantity.about ? DOUBT.about : 0;
  const times = (gramsEach: number, more: number, questions: readonly string[] = []): Weighed => ({
    low: quantity.low * gramsEach,
    high: quantity.high * gramsEach,
    doubt: doubt + more,
    questions,
  });
  if (quantity.kind === "counted") {
    const egg = findEggPart(name, ingredient);
    if (egg) return times(computeEggG(findEggSize(name) ?? rule.eggSize, egg), 0);
    if (ingredient?.pieceG) return times(ingredient.pieceG, 0);
    return unknown(`What does one ${name} weigh?`);
  }
  const { unit } = quantity;
  if (unit.dimension === "mass") return times(unit.factor, 0);
  if (!ingredient) return unknown(`What does one ${unit.spellings[0]} of ${name} weigh?`);
  const state = findState(name);
  const density = findDensity(ingredient, state);
  if (!density) return unknown(`What does one ${unit.spellings[0]} of ${name} weigh?`);
  if (density.exact) return times(unit.factor * density.gPerMl, 0);
  return times(unit.factor * density.gPerMl, DOUBT.otherState, [
    `The book does not know ${ingredient.name} ${state ?? "as it comes"}; taken as ${density.gPerMl} g/ml.`,
  ]);
}

function findEggPart(name: string, ingredient: Ingredient | null): EggPart | null {
  if (ingredient?.group !== "egg") return null;
  if (/yolk/i.test(name)) return "yolk";
  return /white/i.test(name) ? "white" : "whole";
}

function findEggSize(name: string): EggSize | null {
  if (/extra[- ]large/i.test(name)) return "extraLarge";
  return (
    (["small", "medium", "large"] as const).find((size) => new RegExp(`\\b${size}\\b`, "i").test(name)) ??
    null
  );
}
