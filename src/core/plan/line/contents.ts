import {
  allergens,
  computeTargetG,
  computeTotalG,
  computeYieldShare,
  findIngredient,
  mergeIngredients,
  standardIngredients,
  type Allergen,
  type Formula,
  type Ingredient,
} from "../../formula";
import { findFilling, findFormulas, type ShapedPiece } from "../piece";
import type { Piece } from "../book";
import { listPieceMaterials } from "./materials";

/** So much of one ingredient is weighed for one piece. */
export interface Content {
  readonly name: string;
  /** Its entry in the book; null where the book does not have it. */
  readonly ingredientId: string | null;
  /** Raw, before anything boils or bakes off. */
  readonly massG: number;
  /** Null where nobody knows them. */
  readonly allergens: readonly Allergen[] | null;
}

/** What of a piece is asked about: all of it, or its dough alone as long as nothing is in it. */
export type ContentPart = "whole" | "dough";

/**
 * What one piece is made of, ingredient by ingredient and the heaviest first: its dough less the trim that is used
 * again, its fillings before they boil down, and all that goes in and on.
 * @param formulas - Of the book. @param own - The baker's own ingredients. O(lines · log lines).
 */
export function listContents(
  { piece, shaped }: { readonly piece: Piece; readonly shaped: ShapedPiece },
  formulas: readonly Formula[],
  own: readonly Ingredient[],
  part: ContentPart = "whole",
): Content[] {
  const { dough } = findFormulas(piece, formulas);
  const { blankG, trimG } = shaped.masses;
  const ofDough = dough ? listOfFormula(dough, blankG - trimG) : [toUnknown("the dough")];
  if (part === "dough") return gather(ofDough, own);
  const ofFillings = shaped.parts.flatMap(({ fillingId, portion, ofPieces }) => {
    const filling = findFilling(fillingId, formulas);
    if (!filling) return fillingId === null ? [] : [toUnknown("a filling")];
    return listOfFormula(filling, (portion.massG * ofPieces) / computeYieldShare(filling));
  });
  const besides = listPieceMaterials({ piece, shaped, counts: { toFill: 1, made: 1 } }, own).flatMap(
    ({ name, ingredientId, eachG, use }) => (use === "stick" ? [] : [{ name, ingredientId, massG: eachG }]),
  );
  return gather([...ofDough, ...ofFillings, ...besides], own);
}

/** The ingredients of so much of a formula, weighed raw, the heaviest first. */
export const listFormulaContents = (formula: Formula, massG: number, own: readonly Ingredient[]): Content[] =>
  gather(listOfFormula(formula, massG / computeYieldShare(formula)), own);

type Weighed = Omit<Content, "allergens">;

/** Something is in it that no record describes. */
const toUnknown = (name: string): Weighed => ({ name, ingredientId: null, massG: 0 });

function listOfFormula(formula: Formula, massG: number): Weighed[] {
  if (massG <= 0) return [];
  const totalG = computeTotalG(formula);
  if (totalG <= 0) return [toUnknown(formula.name)];
  return formula.lines.map((line) => ({
    name: line.name,
    ingredientId: line.ingredientId,
    massG: (computeTargetG(formula, line, null) / totalG) * massG,
  }));
}

/** Each ingredient once, by its name in the book. */
function gather(weighed: readonly Weighed[], own: readonly Ingredient[]): Content[] {
  const book = mergeIngredients(standardIngredients, own);
  const gathered = new Map<string, Content>();
  for (const { name, ingredientId, massG } of weighed) {
    const known = findIngredient({ name, ingredientId }, book);
    const key = known ? known.id : `? ${name.toLowerCase()}`;
    gathered.set(key, {
      name: known?.name ?? name,
      ingredientId: known?.id ?? null,
      massG: (gathered.get(key)?.massG ?? 0) + massG,
      allergens: known?.allergens ?? null,
    });
  }
  return [...gathered.values()].toSorted((a, b) => b.massG - a.massG);
}

/** Allergens of these contents, and the names of those whose allergens nobody knows. */
export function findAllergens(contents: readonly Content[]): {
  readonly allergens: readonly Allergen[];
  readonly unknown: readonly string[];
} {
  const present = new Set(contents.flatMap((content) => content.allergens ?? []));
  return {
    allergens: allergens.filter((allergen) => present.has(allergen)),
    unknown: contents.flatMap((content) => (content.allergens === null ? [content.name] : [])),
  };
}
