/** Allergens that must be named in most countries; local law decides which, and how. */
export const allergens = [
  "gluten",
  "egg",
  "milk",
  "nuts",
  "peanut",
  "sesame",
  "soya",
  "mustard",
  "celery",
  "fish",
  "crustaceans",
  "molluscs",
  "lupin",
  "sulphites",
] as const;
export type Allergen = (typeof allergens)[number];

export const ingredientGroups = [
  "flour",
  "fat",
  "dairy",
  "egg",
  "sugar",
  "starch",
  "fruit",
  "vegetable",
  "nut",
  "spice",
  "liquid",
  "meat",
  "other",
] as const;
export type IngredientGroup = (typeof ingredientGroups)[number];

/** How a stuff lies in the cup. `plain` is as it comes: spooned flour, whole berries, melted nothing. */
export const measureStates = ["plain", "packed", "sifted", "grated", "chopped", "melted", "ground"] as const;
export type MeasureState = (typeof measureStates)[number];

export interface StateDensity {
  readonly state: MeasureState;
  readonly gPerMl: number;
}

/** One ingredient of the book. Shares are of its mass; figures are rounded and the baker may correct them. */
export interface Ingredient {
  readonly id: string;
  readonly name: string;
  readonly otherNames: readonly string[];
  readonly group: IngredientGroup;
  /** Empty: a cup of it cannot be weighed by calculation. */
  readonly densities: readonly StateDensity[];
  /** One piece as used, trimmed; null where it does not come in pieces. Eggs go by the size at hand. */
  readonly pieceG: number | null;
  readonly waterShare: number;
  readonly fatShare: number;
  readonly sugarShare: number;
  readonly starchShare: number;
  /** Null where nobody has said: not the same as none. */
  readonly allergens: readonly Allergen[] | null;
  /** As bought; null where no price is known. Money in minor units. */
  readonly pack: { readonly massG: number; readonly priceMinor: number } | null;
  /** Where the figures come from. */
  readonly source: string;
}

/** The book with the baker's own entries: one with a standard entry's id takes its place. */
export function mergeIngredients(
  standard: readonly Ingredient[],
  own: readonly Ingredient[],
): readonly Ingredient[] {
  const ownById = new Map(own.map((ingredient) => [ingredient.id, ingredient]));
  const kept = standard.map((ingredient) => ownById.get(ingredient.id) ?? ingredient);
  const standardIds = new Set(standard.map(({ id }) => id));
  return [...kept, ...own.filter(({ id }) => !standardIds.has(id))];
}
