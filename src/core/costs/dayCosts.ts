import { groupOrders, type OrderGroup, type TakenOrder } from "../orders";
import type { DayBook, DayPlan } from "../plan";
import { sumHeatKwh } from "./heat";
import { costIngredients } from "./ingredientCosts";
import { shareHands } from "./shareHands";
import type { Price, Till } from "./till";

/** What something costs, in the smallest coin, and by what. */
export interface Cost {
  readonly ingredientsMinor: number;
  readonly handsMin: number;
  readonly handsMinor: number;
  readonly heatKwh: number;
  readonly heatMinor: number;
  /** Of all three. */
  readonly totalMinor: number;
}

/** A kind of piece over the day: what all of it costs, and one of it. */
export interface PieceCost extends Cost {
  readonly pieceId: string;
  readonly name: string;
  readonly made: number;
  readonly eachMinor: number;
  /** What one is sold for; null where nobody said. */
  readonly priceMinor: number | null;
  /** What is left of the price of one. */
  readonly leftMinor: number | null;
  /** Ingredients without a price: it costs so much more. */
  readonly unpriced: readonly string[];
}

/** What is sold, what it costs and what is left. Null where a piece of it has no price. */
export interface Sale {
  readonly costMinor: number;
  readonly soldMinor: number | null;
  readonly leftMinor: number | null;
}

export interface OrderCost extends Sale {
  readonly group: OrderGroup;
}

export interface DayCosts {
  readonly pieces: readonly PieceCost[];
  readonly orders: readonly OrderCost[];
  /** All that is made, sold as far as it is ordered: spare pieces cost and earn nothing. All hands of the day are in it. */
  readonly day: Cost & Sale;
  readonly unpriced: readonly string[];
}

/** Minutes of an hour, by the clock. */
const MIN_PER_H = 60;

/** What a day costs and earns as its plan stands: by piece, by order, and in all. */
export function computeDayCosts(
  plan: DayPlan,
  book: Pick<DayBook, "formulas" | "ingredients" | "fryers"> & { readonly orders: readonly TakenOrder[] },
  till: Till,
  prices: readonly Price[],
): DayCosts {
  const hands = shareHands(plan);
  const priceOf = new Map(prices.map(({ id, priceMinor }) => [id, priceMinor]));
  const pieces = plan.lines
    .filter(({ counts }) => counts.made > 0)
    .map((line): PieceCost => {
      const { piece, counts } = line;
      const { minor, unpriced } = costIngredients(line, book);
      const cost = sumUp(minor, hands.get(piece.id) ?? 0, sumHeatKwh(plan, book.fryers, line), till);
      const eachMinor = cost.totalMinor / counts.made;
      const priceMinor = priceOf.get(piece.id) ?? null;
      return {
        ...{
          pieceId: piece.id,
          name: piece.name,
          made: counts.made,
          ...cost,
          eachMinor,
          priceMinor,
          unpriced,
        },
        leftMinor: priceMinor === null ? null : priceMinor - eachMinor,
      };
    });
  const byId = new Map(pieces.map((each) => [each.pieceId, each]));
  const sell = (orders: readonly TakenOrder[]) => {
    const sold = orders.map(({ pieceId, count }) => {
      const priceMinor = byId.get(pieceId)?.priceMinor ?? null;
      return priceMinor === null ? null : count * priceMinor;
    });
    return sold.reduce<number | null>((sum, each) => (sum === null || each === null ? null : sum + each), 0);
  };
  const orders = groupOrders(book.orders).map((group): OrderCost => {
    const costMinor = group.orders.reduce(
      (sum, { pieceId, count }) => sum + count * (byId.get(pieceId)?.eachMinor ?? 0),
      0,
    );
    return { group, ...toSale(costMinor, sell(group.orders)) };
  });
  const sumOf = (figure: (piece: PieceCost) => number) =>
    pieces.reduce((sum, piece) => sum + figure(piece), 0);
  const all = sumUp(
    sumOf(({ ingredientsMinor }) => ingredientsMinor),
    plan.tasks.reduce((sum, { handsMin }) => sum + handsMin, 0),
    sumOf(({ heatKwh }) => heatKwh),
    till,
  );
  return {
    pieces,
    orders,
    day: { ...all, ...toSale(all.totalMinor, sell(book.orders)) },
    unpriced: [...new Set(pieces.flatMap(({ unpriced }) => unpriced))],
  };
}

function sumUp(ingredientsMinor: number, handsMin: number, heatKwh: number, till: Till): Cost {
  const handsMinor = (handsMin / MIN_PER_H) * till.hourMinor;
  const heatMinor = heatKwh * till.kwhMinor;
  const totalMinor = ingredientsMinor + handsMinor + heatMinor;
  return { ingredientsMinor, handsMin, handsMinor, heatKwh, heatMinor, totalMinor };
}

const toSale = (costMinor: number, soldMinor: number | null): Sale => ({
  costMinor,
  soldMinor,
  leftMinor: soldMinor === null ? null : soldMinor - costMinor,
});
