import { compareNames } from "../../compareNames";
import { computeBuyKg } from "../../filling";
import { mergeIngredients, standardIngredients, type Formula, type Ingredient } from "../../formula";
import type { DayBatch, Material } from "../result";

/** What one day weighs out. */
export interface WeighedDay {
  readonly date: string;
  readonly batches: readonly DayBatch[];
  readonly materials: readonly Material[];
}

/** One thing to buy for several days. */
export interface ShoppingLine {
  readonly name: string;
  readonly massG: number;
  /** Of what is bought by count; 0 for all else. */
  readonly count: number;
  /** Packs to buy with the mass of one; null where the book knows no pack. */
  readonly packs: { readonly count: number; readonly massG: number; readonly priceMinor: number } | null;
  /** Dates that need it. */
  readonly dates: readonly string[];
}

/** Out of the tap. */
const NOT_BOUGHT = new Set(["water"]);

/**
 * What all these days weigh out, ingredient by ingredient, in whole packs. Nothing is bought for what the
 * larder holds, since the plans have taken that already.
 */
export function listShopping(
  days: readonly WeighedDay[],
  ownIngredients: readonly Ingredient[],
): ShoppingLine[] {
  const byId = new Map(
    mergeIngredients(standardIngredients, ownIngredients).map((ingredient) => [ingredient.id, ingredient]),
  );
  const wanted = new Map<
    string,
    { name: string; massG: number; count: number; ingredient: Ingredient | null; dates: string[] }
  >();
  const want = (
    date: string,
    { ingredientId, name }: Pick<Material, "ingredientId" | "name">,
    toBuy: (ingredient: Ingredient | null) => { massG: number; count: number },
  ) => {
    if (ingredientId !== null && NOT_BOUGHT.has(ingredientId)) return;
    const ingredient = ingredientId === null ? null : (byId.get(ingredientId) ?? null);
    const key = ingredient?.id ?? `:${name.toLowerCase()}`;
    const entry = wanted.get(key) ?? {
      name: ingredient?.name ?? name,
      massG: 0,
      count: 0,
      ingredient,
      dates: [],
    };
    const { massG, count } = toBuy(ingredient);
    entry.massG += massG;
    entry.count += count;
    if (!entry.dates.includes(date)) entry.dates.push(date);
    wanted.set(key, entry);
  };
  for (const { date, batches, materials } of days) {
    for (const { batch, formula } of batches)
      for (const line of batch?.lines ?? [])
        want(date, line, (ingredient) => ({ massG: line.massG * findBought(formula, ingredient), count: 0 }));
    // What has a mass is bought by it; what has none, by count.
    for (const material of materials)
      want(date, material, () => ({
        massG: material.massG,
        count: material.massG > 0 ? 0 : (material.count ?? 0),
      }));
  }
  return [...wanted.values()]
    .map(({ name, massG, count, ingredient, dates }) => ({
      name,
      massG,
      count,
      dates,
      packs: countPacks(massG, ingredient),
    }))
    .sort((a, b) => compareNames(a.name, b.name));
}

/** Grams bought for one weighed: of raw fruit, what is weighed is prepared. */
function findBought(formula: Formula, ingredient: Ingredient | null): number {
  return formula.kind === "filling" && formula.fruit && ingredient?.group === "fruit"
    ? computeBuyKg(formula.fruit)
    : 1;
}

function countPacks(massG: number, ingredient: Ingredient | null): ShoppingLine["packs"] {
  if (!ingredient?.pack) return null;
  const count = Math.ceil(massG / ingredient.pack.massG);
  return { count, massG: ingredient.pack.massG, priceMinor: count * ingredient.pack.priceMinor };
}
