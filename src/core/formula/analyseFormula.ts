import type { Composition } from "../heat";
import { computeTargetG, computeTotalG, type Formula } from "./formula";
import { findIngredient } from "./matchIngredient";
import { allergens, type Allergen, type Ingredient } from "./ingredient";

/** What a formula amounts to, from its ingredients' entries in the book. */
export interface FormulaAnalysis {
  /** By line id: grams for a hundred grams of flour; null in a formula without flour. */
  readonly bakersPercent: Readonly<Record<string, number>> | null;
  readonly composition: Composition;
  readonly allergens: readonly Allergen[];
  /** Money for the formula as written, minor units, of the lines that have a price. */
  readonly costMinor: number;
  /** Names of lines that the book does not know: composition leaves them out. */
  readonly unknownLines: readonly string[];
  /** Names of lines whose allergens are not known: not in the book, or nobody has said. */
  readonly unknownAllergens: readonly string[];
  /** Names of lines without a price: the cost leaves them out. */
  readonly unpricedLines: readonly string[];
}

/** A dough of the usual kind, for reckoning heat where no line of the formula is known. */
const USUAL_DOUGH: Composition = { waterShare: 0.2, fatShare: 0.25, sugarShare: 0.02, starchShare: 0.38 };
/** Water costs nothing worth counting. */
const FREE = new Set(["water"]);

/**
 * Percentages, composition, allergens and cost of a formula. Lines are looked up by their ingredient id.
 * @param tookG - What its range took last time, for the formula as written; null if never recorded.
 */
export function analyseFormula(
  formula: Formula,
  book: readonly Ingredient[],
  tookG: number | null = null,
): FormulaAnalysis {
  const byId = new Map(book.map((ingredient) => [ingredient.id, ingredient]));
  const rows = formula.lines.map((line) => ({
    line,
    massG: computeTargetG(formula, line, tookG),
    ingredient: line.ingredientId === null ? null : (byId.get(line.ingredientId) ?? null),
    holds: findIngredient(line, book)?.allergens ?? null,
  }));
  const known = rows.flatMap(({ massG, ingredient }) => (ingredient ? [{ massG, ingredient }] : []));
  const flourG = known.reduce(
    (sum, { massG, ingredient }) => sum + (ingredient.group === "flour" ? massG : 0),
    0,
  );
  const present = new Set(rows.flatMap(({ holds }) => holds ?? []));
  return {
    bakersPercent:
      flourG > 0
        ? Object.fromEntries(rows.map(({ line, massG }) => [line.id, (100 * massG) / flourG]))
        : null,
    composition: mix(known),
    allergens: allergens.filter((allergen) => present.has(allergen)),
    costMinor: known.reduce(
      (sum, { massG, ingredient: { pack } }) => sum + (pack ? (massG / pack.massG) * pack.priceMinor : 0),
      0,
    ),
    unknownLines: rows.flatMap(({ line, ingredient }) => (ingredient ? [] : [line.name])),
    unknownAllergens: rows.flatMap(({ line, holds }) => (holds ? [] : [line.name])),
    unpricedLines: known.flatMap(({ ingredient }) =>
      ingredient.pack || FREE.has(ingredient.id) ? [] : [ingredient.name],
    ),
  };
}

function mix(known: readonly { readonly massG: number; readonly ingredient: Ingredient }[]): Composition {
  const totalG = known.reduce((sum, { massG }) => sum + massG, 0);
  if (totalG <= 0) return USUAL_DOUGH;
  const share = (part: (ingredient: Ingredient) => number) =>
    known.reduce((sum, { massG, ingredient }) => sum + massG * part(ingredient), 0) / totalG;
  return {
    waterShare: share(({ waterShare }) => waterShare),
    fatShare: share(({ fatShare }) => fatShare),
    sugarShare: share(({ sugarShare }) => sugarShare),
    starchShare: share(({ starchShare }) => starchShare),
  };
}

/** One line of two versions side by side; null where a version does not have it. */
export interface LineComparison {
  readonly name: string;
  readonly beforeG: number | null;
  readonly afterG: number | null;
  /** Shares of the version's total, so that a scaled formula compares as the same. */
  readonly beforeShare: number | null;
  readonly afterShare: number | null;
}

/** Two versions of a formula line by line: those with the same name stand together. */
export function compareFormulas(before: Formula, after: Formula): LineComparison[] {
  const names = [...new Set([...before.lines, ...after.lines].map(({ name }) => name))];
  const read = (formula: Formula, name: string) => {
    const lines = formula.lines.filter((line) => line.name === name);
    if (lines.length === 0) return { massG: null, share: null };
    const massG = lines.reduce((sum, line) => sum + computeTargetG(formula, line, null), 0);
    return { massG, share: massG / computeTotalG(formula) };
  };
  return names.map((name) => {
    const [old, now] = [read(before, name), read(after, name)];
    return { name, beforeG: old.massG, afterG: now.massG, beforeShare: old.share, afterShare: now.share };
  });
}
