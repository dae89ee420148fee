import { sumHeatKwh } from "../costs";
import { mergeIngredients, standardIngredients, type Ingredient } from "../formula";
import { listPieceMaterials, type DayBatch, type DayBook, type DayPlan, type PiecePlan } from "../plan";

/** What a day's plan spends, as far as prices are known. */
export interface RunCosts {
  readonly pieces: readonly {
    readonly pieceId: string;
    /** Of dough, filling, what they lose, and what goes in and on, for all pieces of the kind; in the smallest coin. */
    readonly ingredientsMinor: number;
    /** Of its own jobs; what is done for several pieces is not in it. */
    readonly handsMin: number;
    /** What its heats draw for all of the kind, where their power is told; runs of before have none. */
    readonly heatKwh?: number;
  }[];
  /** Ingredients without a price: what is told is so much too little. */
  readonly unpriced: readonly string[];
  /** Dough that is rolled and not used again. */
  readonly trimG: number;
}

/** What a day will cost, as its plan stands: by piece, in the smallest coin, minutes of hands and kWh. */
export function freezeCosts(
  plan: DayPlan,
  { ingredients, fryers }: Pick<DayBook, "ingredients" | "fryers">,
): RunCosts {
  const costs = listIngredientCosts(plan, ingredients);
  return {
    pieces: plan.lines.map((line, i) => ({
      pieceId: line.piece.id,
      heatKwh: sumHeatKwh(plan, fryers, line),
      ingredientsMinor: costs[i]?.ingredientsMinor ?? 0,
      handsMin: plan.tasks.reduce(
        (sum, task) => sum + (task.pieceId === line.piece.id ? task.handsMin : 0),
        0,
      ),
    })),
    unpriced: [...new Set(costs.flatMap(({ unpriced }) => unpriced))],
    trimG: plan.cuts.reduce((sum, { plan: cut }) => sum + cut.trimLeftG, 0),
  };
}

/** What a kind of piece costs in ingredients over the day, and what of it nobody knows the price of. */
interface IngredientCost {
  readonly pieceId: string;
  readonly ingredientsMinor: number;
  readonly unpriced: readonly string[];
}

/** Costs nothing worth counting. */
const FREE = "water";

/**
 * Ingredients by piece: its part of the doughs that are mixed, with what they lose, its fillings, and what goes in and
 * on. What comes out of the larder was paid for already. O(pieces · their lines).
 */
function listIngredientCosts(
  { lines, doughs, fillings, analyses }: DayPlan,
  own: readonly Ingredient[],
): IngredientCost[] {
  const book = new Map(mergeIngredients(standardIngredients, own).map((each) => [each.id, each]));
  const batches = [...doughs, ...fillings];
  /** A gram as it is used. */
  const priceOf = ({ formula, batch }: DayBatch): number => {
    const costMinor = analyses[formula.id]?.costMinor ?? 0;
    return batch && batch.usableG > 0 ? (costMinor * batch.scale) / batch.usableG : 0;
  };
  const priceById = new Map(batches.map((batch) => [batch.formula.id, priceOf(batch)]));
  const costOf = (line: PiecePlan): IngredientCost => {
    const { piece, doughG, fills } = line;
    const formulaIds = [piece.doughId, ...fills.map(({ part }) => part.fillingId)];
    const besides = listPieceMaterials(line, own).filter(({ use }) => use !== "stick");
    const known = besides.map((material) => ({
      ...material,
      pack: (material.ingredientId === null ? null : book.get(material.ingredientId)?.pack) ?? null,
    }));
    return {
      pieceId: piece.id,
      ingredientsMinor:
        doughG * (priceById.get(piece.doughId) ?? 0) +
        fills.reduce((sum, { part, totalG }) => sum + totalG * (priceById.get(part.fillingId) ?? 0), 0) +
        known.reduce(
          (sum, { pack, eachG, pieces }) =>
            sum + (pack ? (eachG * pieces * pack.priceMinor) / pack.massG : 0),
          0,
        ),
      unpriced: [
        ...new Set([
          ...formulaIds.flatMap((id) => analyses[id]?.unpricedLines ?? []),
          ...formulaIds.flatMap((id) => analyses[id]?.unknownLines ?? []),
          ...known.flatMap(({ name, pack, ingredientId }) =>
            pack === null && ingredientId !== FREE ? [name] : [],
          ),
        ]),
      ],
    };
  };
  return lines.map(costOf);
}
