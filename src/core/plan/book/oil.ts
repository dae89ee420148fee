import type { Allergen } from "../../formula";

/** Baskets of one kind of piece that a fryer's oil has fried since it was changed. */
export interface FriedLoad {
  /** The job it was: `DATE/TASK`. */
  readonly id: string;
  /** The piece. */
  readonly name: string;
  readonly baskets: number;
  readonly allergens: readonly Allergen[];
  /** Ingredients of the piece whose allergens nobody knows. */
  readonly unknown: readonly string[];
}

/** The oil in a fryer. */
export interface Oil {
  /** Loads that it has fried before the day. */
  readonly usedLoads: number;
  /** Those of them that runs recorded. */
  readonly fried: readonly FriedLoad[];
}

/** Loads that the oil has fried and no run recorded: nobody knows what they held. */
export const countUnknownLoads = ({ usedLoads, fried }: Oil): number =>
  Math.max(usedLoads - fried.reduce((sum, { baskets }) => sum + baskets, 0), 0);

/** Fresh oil: nothing was fried in it. */
export const FRESH_OIL: Oil = { usedLoads: 0, fried: [] };
