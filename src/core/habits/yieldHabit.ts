import { requireThat } from "../require";
import { sumSquaresAbout } from "./sums";

/** What one rolling was planned to give and gave. Both whole, planned ≥ 1. */
export interface CutOutcome {
  readonly planned: number;
  readonly got: number;
}

/** Any number of outcomes, as far as the habit needs them: sums that can be kept and added up. */
export interface YieldSums {
  readonly rollings: number;
  /** Of got over planned. */
  readonly share: number;
  readonly shareSquares: number;
}

export const NO_YIELDS: YieldSums = { rollings: 0, share: 0, shareSquares: 0 };

/** @throws {RangeError} If a count is not whole or out of range. */
export function sumYields(outcomes: readonly CutOutcome[]): YieldSums {
  return outcomes.reduce((sums, { planned, got }) => {
    requireThat("planned", planned, Number.isInteger(planned) && planned >= 1, "a whole number ≥ 1");
    requireThat("got", got, Number.isInteger(got) && got >= 0, "a whole number ≥ 0");
    const share = got / planned;
    return addYields(sums, { rollings: 1, share, shareSquares: share ** 2 });
  }, NO_YIELDS);
}

/** Two logs as one. */
export const addYields = (left: YieldSums, right: YieldSums): YieldSums => ({
  rollings: left.rollings + right.rollings,
  share: left.share + right.share,
  shareSquares: left.shareSquares + right.shareSquares,
});

/** How a baker's hand cuts a dough, against the plan. */
export interface YieldHabit {
  /** Rollings logged. */
  readonly rollings: number;
  /** What comes out for one planned, likeliest. */
  readonly share: number;
  /** One standard deviation of the next rolling's share. */
  readonly spread: number;
}

/** Craft's prior: what is planned is cut, give or take three in a hundred; worth four rollings of the log. */
const PRIOR_SHARE = 1;
const PRIOR_SPREAD = 0.03;
const PRIOR_ROLLINGS = 4;

/**
 * The habit from the log, shrunk towards the craft's prior as long as the log is short: mean and variance of a normal
 * sample to which the prior is added as so many rollings; the spread is that of the next rolling, the mean's own
 * uncertainty included.
 * @param log - Of rollings of one dough; none gives the prior.
 * @see Gelman et al., Bayesian Data Analysis, 3rd ed., section 3.3 (normal data, conjugate prior), variance simplified.
 */
export function findYieldHabit(log: YieldSums): YieldHabit {
  const weight = PRIOR_ROLLINGS + log.rollings;
  const share = (PRIOR_ROLLINGS * PRIOR_SHARE + log.share) / weight;
  const squares = sumSquaresAbout(share, { count: log.rollings, sum: log.share, squares: log.shareSquares });
  const variance = (PRIOR_ROLLINGS * (PRIOR_SPREAD ** 2 + (PRIOR_SHARE - share) ** 2) + squares) / weight;
  return { rollings: log.rollings, share, spread: Math.sqrt(variance * (1 + 1 / weight)) };
}

/** A forecast count: likeliest, and between which two it lands in two of three rollings. */
export interface CountForecast {
  readonly likelyCount: number;
  readonly lowCount: number;
  readonly highCount: number;
}

/**
 * A reckoned count and its range, corrected by the log: the count by the habit's share, the range by its spread, taken
 * as independent of what the reckoning already allows for. Without a log nothing changes.
 */
export function forecastCount(
  reckoned: { readonly count: number; readonly lowCount: number; readonly highCount: number },
  { rollings, share, spread }: YieldHabit,
): CountForecast {
  const { count, lowCount, highCount } = reckoned;
  if (rollings === 0) return { likelyCount: count, lowCount, highCount };
  const likely = count * share;
  const logged = count * spread;
  return {
    likelyCount: Math.floor(likely + 1e-9),
    lowCount: Math.max(Math.floor(likely - Math.hypot(count - lowCount, logged)), 0),
    highCount: Math.ceil(likely + Math.hypot(highCount - count, logged)),
  };
}
