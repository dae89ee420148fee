import type { FruitFacts, FruitVariety, Tartness } from "../formula";

/** Sugar for a kilogram of prepared fruit, g, so that it tastes neither sharp nor flat. Craft's usual figures. */
const SUGAR_G_PER_KG: Readonly<Record<Tartness, number>> = { sweet: 60, mild: 110, tart: 180, sharp: 260 };

interface Flesh {
  /** Share of its mass that sugared fruit gives up in the end. */
  readonly juiceShare: number;
  /** Minutes until two thirds of that have run. */
  readonly timeMin: number;
}
/** Craft's first guess for small dice. */
const FIRM: Flesh = { juiceShare: 0.12, timeMin: 25 };
const SOFT: Flesh = { juiceShare: 0.25, timeMin: 12 };

/** More juice than this wets the dough before it is closed, share of the fruit. */
const JUICE_LIMIT_SHARE = 0.03;
/** Longer than this nobody waits between sugaring and filling, minutes. */
const LONGEST_MIN = 60;
const HALVINGS = 40;

/** Grams of sugar that a mixture of fruit wants for each kilogram, prepared. */
export function computeSugarPerKgG(varieties: readonly FruitVariety[]): number {
  return mean(varieties, ({ tartness }) => SUGAR_G_PER_KG[tartness]);
}

/** Share of sugared fruit that has run as juice after so many minutes: each variety nears its own end exponentially. */
export function computeJuiceShare(varieties: readonly FruitVariety[], minutes: number): number {
  return mean(varieties, ({ isSoft }) => {
    const { juiceShare, timeMin } = isSoft ? SOFT : FIRM;
    return juiceShare * (1 - Math.exp(-minutes / timeMin));
  });
}

/** The longest that fruit may wait sugared before it is filled, whole minutes, at most an hour. */
export function findSugarLeadMin(varieties: readonly FruitVariety[]): number {
  let [low, high] = [0, LONGEST_MIN];
  if (computeJuiceShare(varieties, high) <= JUICE_LIMIT_SHARE) return high;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (computeJuiceShare(varieties, middle) <= JUICE_LIMIT_SHARE) low = middle;
    else high = middle;
  }
  return Math.floor(low);
}

/** Fruit to buy for a kilogram prepared, kg: peel, stone and core are bought too. */
export const computeBuyKg = ({ trimLossShare }: FruitFacts): number => 1 / (1 - trimLossShare);

function mean(varieties: readonly FruitVariety[], figure: (variety: FruitVariety) => number): number {
  const whole = varieties.reduce((sum, { share }) => sum + share, 0);
  return whole > 0 ? varieties.reduce((sum, each) => sum + each.share * figure(each), 0) / whole : 0;
}
