import {
  computeTotalG,
  computeYieldShare,
  mergeIngredients,
  standardIngredients,
  type Formula,
  type Ingredient,
} from "../formula";
import { listContents, type DayBook, type PiecePlan } from "../plan";

/** What ingredients cost, in the smallest coin, and what of them nobody knows the price of. */
export interface IngredientCost {
  readonly minor: number;
  readonly unpriced: readonly string[];
}

/** Costs nothing worth counting. */
const FREE = "water";

/**
 * The ingredients of all pieces of a kind, whenever they were made, and of the dough that is rolled for them today beyond
 * what is in them: its trim is paid for by the piece that leaves it. O(lines of its formulas).
 */
export function costIngredients(
  line: PiecePlan,
  { formulas, ingredients: own }: Pick<DayBook, "formulas" | "ingredients">,
): IngredientCost {
  const { piece, shaped, counts, doughG } = line;
  const packOf = new Map(mergeIngredients(standardIngredients, own).map(({ id, pack }) => [id, pack]));
  const priced = listContents(line, formulas, own).map((content) => ({
    ...content,
    pack: content.ingredientId === null ? null : (packOf.get(content.ingredientId) ?? null),
  }));
  const eachMinor = priced.reduce(
    (sum, { massG, pack }) => sum + (pack ? (massG / pack.massG) * pack.priceMinor : 0),
    0,
  );
  const inPiecesG = Math.max(counts.toFill, 0) * (shaped.masses.blankG - shaped.masses.trimG);
  const dough = formulas.find(({ id }) => id === piece.doughId);
  const beyondG = Math.max(doughG - inPiecesG, 0);
  return {
    minor: counts.made * eachMinor + beyondG * (dough ? priceGram(dough, packOf) : 0),
    unpriced: priced.flatMap(({ name, ingredientId, pack }) =>
      pack === null && ingredientId !== FREE ? [name] : [],
    ),
  };
}

type Packs = ReadonlyMap<string, Ingredient["pack"]>;

/** A gram of a formula as it is used. */
function priceGram(formula: Formula, packOf: Packs): number {
  const usableG = computeTotalG(formula) * computeYieldShare(formula);
  if (usableG <= 0) return 0;
  const minor = formula.lines.reduce((sum, { ingredientId, massG }) => {
    const pack = ingredientId === null ? null : (packOf.get(ingredientId) ?? null);
    return sum + (pack ? (massG / pack.massG) * pack.priceMinor : 0);
  }, 0);
  return minor / usableG;
}
