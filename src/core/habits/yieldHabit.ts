import { requireThat } from "../require";

/** What one rolling was planned to give and gave. Both whole, planned ≥ 1. */
export interface CutOutcome {
  readonly planned: number;
  readonly got: number;
}

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
 * @param outcomes - In any order; none gives the prior. @throws {RangeError} If a count is not whole or out of range.
 * @see Gelman et al., Bayesian Data Analysis, 3rd ed., section 3.3 (normal data, conjugate prior), variance simplified.
 */
export function findYieldHabit(outcomes: readonly CutOutcome[]): YieldHabit {
  for (const { planned, got } of outcomes) {
    requireThat("planned", planned, Number.isInteger(planned) && planned >= 1, "a whole number ≥ 1");
    requireThat("got", got, Number.isInteger(got) && got >= 0, "a whole number ≥ 0");
  }
  const weight = PRIOR_ROLLINGS + outcomes.length;
  const shares = outcomes.map(({ planned, got }) => got / planned);
  const share = (PRIOR_ROLLINGS * PRIOR_SHARE + shares.reduce((sum, each) => sum + each, 0)) / weight;
  const squares = shares.reduce((sum, each) => sum + (each - share) ** 2, 0);
  const variance = (PRIOR_ROLLINGS * (PRIOR_SPREAD ** 2 + (PRIOR_SHARE - share) ** 2) + squares) / weight;
  return { rollings: outcomes.length, share, spread: Math.sqrt(variance * (1 + 1 / weight)) };
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
