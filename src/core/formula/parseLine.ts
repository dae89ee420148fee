import { because, fail, ok, type Result } from "../result";
import {
  computeEggG,
  findQuantity,
  formatMass,
  formatQuantity,
  type EggPart,
  findEggSize,
  type EggSize,
  type MeasureSystem,
  type Quantity,
} from "../units";
import type { LineFailure } from "./formulaFailure";
import type { Ingredient } from "./ingredient";
import { findDensity, findState, matchIngredient, SURE } from "./matchIngredient";
import { spellOut } from "./spellOut";

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

/** How much each uncertainty takes away. */
const DOUBT = {
  about: 0.05,
  unknownName: 0.3,
  otherState: 0.1,
  bareCount: 0.25,
  size: 0.1,
  part: 0.25,
  toTaste: 0.5,
} as const;

/** A small and a large piece against a usual one, by mass; shops grade fruit about so. */
const SIZE_SHARE = { small: 0.75, medium: 1, large: 1.3 } as const;

/** What bakers take where a formula says "to taste", g: of salt and spice a little, of all else a spoonful. Guesses, and told as such. */
const TO_TASTE_G: Partial<Record<Ingredient["group"], number>> = { spice: 2 };
const TO_TASTE_SALT_G = 4;
const TO_TASTE_OTHER_G = 5;

/**
 * Reads a line as people write it, `1½ c plain flour, sifted`, and weighs it: masses as they are, volumes by the
 * density of the ingredient in its state, counts by the mass of a piece, eggs by size and part.
 * @returns The line, with what is to be asked; or why there is no amount in it at all.
 */
export function parseLine(text: string, rule: KitchenRule): Result<ParsedLine, LineFailure> {
  const spelled = spellOut(text);
  const found = findQuantity(spelled.text, rule.system);
  if (!found.ok) return found;
  const { quantity, rest } = found.value;
  const name = tidyName(rest);
  if (name === "") return fail(because("amountOfNothing", { shown: text.trim().slice(0, 32) }));
  const match = matchIngredient(name, rule.ingredients);
  const weighed = weigh(quantity, name, match?.ingredient ?? null, rule);
  const questions = [...weighed.questions];
  let confidence = match ? match.score : 1 - DOUBT.unknownName;
  if (match && match.score < SURE) questions.push(`Is “${name}” the book's ${match.ingredient.name}?`);
  confidence -= weighed.doubt;
  if (spelled.isPart) {
    confidence -= DOUBT.part;
    questions.push(`What one gives of ${name} differs: taken as ${formatMass(weighed.low ?? 0)}. Right?`);
  }
  return ok({
    text: text.trim(),
    amountText: findAmountText(spelled.text, rest, quantity),
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
 * @returns Grams, or what would have to be known.
 */
export function weighAmount(
  amountText: string,
  name: string,
  ingredientId: string | null,
  rule: KitchenRule,
): Result<WeighedAmount, LineFailure> {
  const found = findQuantity(`${amountText.trim()} ${name.trim()}`, rule.system);
  if (!found.ok) return found;
  const match = matchIngredient(name, rule.ingredients);
  const ingredient =
    rule.ingredients.find(({ id }) => id === ingredientId) ??
    (match && match.score >= SURE ? match.ingredient : null);
  const { quantity } = found.value;
  const bare = quantity.kind === "counted" && !ingredient?.pieceG;
  // "A lot" is no gram: a bare number is one only where nothing else was typed beside it.
  const unread = found.value.rest.endsWith(name.trim())
    ? found.value.rest.slice(0, found.value.rest.length - name.trim().length).trim()
    : "";
  if (bare && unread !== "") return fail(because("unitNotWeighed", { shown: unread.slice(0, 24) }));
  const weighed = bare
    ? { low: quantity.low, high: quantity.high, questions: [] }
    : weigh(quantity, name, ingredient, rule);
  if (weighed.low === null || weighed.high === null) {
    return fail(because("cannotWeigh", { asked: weighed.questions[0] ?? null }));
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
  if (quantity.kind === "toTaste") return weighToTaste(name, ingredient);
  const doubt = quantity.about ? DOUBT.about : 0;
  const times = (gramsEach: number, more: number, questions: readonly string[] = []): Weighed => ({
    low: quantity.low * gramsEach,
    high: quantity.high * gramsEach,
    doubt: doubt + more,
    questions,
  });
  if (quantity.kind === "counted") {
    const egg = findEggPart(name, ingredient);
    if (egg) return times(computeEggG(findEggSize(name, rule.system) ?? rule.eggSize, egg), 0);
    if (ingredient?.pieceG) {
      const size = findPieceSize(name);
      return size === null
        ? times(ingredient.pieceG, 0)
        : times(ingredient.pieceG * SIZE_SHARE[size], DOUBT.size);
    }
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

/** A usual amount, marked as the guess that it is, so that no total leaves it out in silence. */
function weighToTaste(name: string, ingredient: Ingredient | null): Weighed {
  const isSalt = ingredient?.id === "salt" || /\bsalt\b/i.test(name);
  const massG = isSalt ? TO_TASTE_SALT_G : ((ingredient && TO_TASTE_G[ingredient.group]) ?? TO_TASTE_OTHER_G);
  return {
    low: massG,
    high: massG,
    doubt: DOUBT.toTaste,
    questions: [`${name}, to taste: a guess of ${formatMass(massG)}. How many grams do you take?`],
  };
}

function findPieceSize(name: string): keyof typeof SIZE_SHARE | null {
  const [found] = /\b(small|medium|large)\b/i.exec(name) ?? [];
  return found ? (found.toLowerCase() as keyof typeof SIZE_SHARE) : null;
}

function findEggPart(name: string, ingredient: Ingredient | null): EggPart | null {
  if (ingredient?.group !== "egg") return null;
  if (/yolk/i.test(name)) return "yolk";
  return /white/i.test(name) ? "white" : "whole";
}
