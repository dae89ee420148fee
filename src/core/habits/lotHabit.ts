import { requireThat } from "../require";

/**
 * What was logged of one lot. Beside each real figure stands what the craft reckoned for it then, without any habit:
 * the log corrects the craft, whatever the piece looked like that day.
 */
export interface LotOutcome {
  /** Whole, at least 1. */
  readonly pieces: number;
  /** Minutes of hands for the lot and the way it was done (a measure, a crimp); null where it was not timed. */
  readonly fill: TimedWork | null;
  readonly close: TimedWork | null;
  /** Pieces that leaked or burst; null where nobody counted. */
  readonly leaked: number | null;
  /** Share that the craft expected to leak. */
  readonly craftLeakShare: number;
}

export interface TimedWork {
  readonly style: string;
  readonly minutes: number;
  readonly craftMinutes: number;
}

/** How long this baker's hands take for a style of work, against the craft's figures. */
export interface PaceHabit {
  readonly lots: number;
  /** Real minutes for each of the craft's, likeliest. */
  readonly ratio: number;
  /** Of the next lot: one standard deviation either way, as a factor. */
  readonly spreadFactor: number;
}

/** Worth of the craft's prior, lots: two of the baker's own outweigh it. */
const PRIOR_LOTS = 2;
/** Spread of a hand's pace between lots before any is logged, as a standard deviation of its logarithm. */
const PRIOR_LOG_SPREAD = 0.25;

/**
 * Pace of one style of work: the mean of the logarithms of real over craft minutes, shrunk towards 1 while the log is
 * short. None of that style gives the craft's own.
 */
export function findPaceHabit(works: readonly TimedWork[], style: string): PaceHabit {
  const logs = works
    .filter((work) => work.style === style)
    .map(({ minutes, craftMinutes }) => {
      requireThat("minutes", minutes, minutes > 0, "above 0");
      requireThat("craftMinutes", craftMinutes, craftMinutes > 0, "above 0");
      return Math.log(minutes / craftMinutes);
    });
  const weight = logs.length + PRIOR_LOTS;
  const mean = logs.reduce((sum, each) => sum + each, 0) / weight;
  const squares = logs.reduce((sum, each) => sum + (each - mean) ** 2, PRIOR_LOTS * PRIOR_LOG_SPREAD ** 2);
  const spread = Math.sqrt((squares / weight) * (1 + 1 / weight));
  return { lots: logs.length, ratio: Math.exp(mean), spreadFactor: Math.exp(spread) };
}

/** How much likelier this baker's pieces leak than the craft reckons. */
export interface LeakHabit {
  readonly lots: number;
  readonly oddsRatio: number;
}

/** Worth of the craft's prior, in leaks: as if it had foretold three and seen three. */
const PRIOR_LEAKS = 3;

/**
 * The ratio of leaks counted to leaks expected, with the prior added to both: the mean of a gamma posterior for a
 * Poisson rate. Where few leak, a ratio of rates is a ratio of odds.
 */
export function findLeakHabit(
  outcomes: readonly Pick<LotOutcome, "pieces" | "leaked" | "craftLeakShare">[],
): LeakHabit {
  const counted = outcomes.flatMap(({ pieces, leaked, craftLeakShare }) =>
    leaked === null ? [] : [{ leaked, expected: pieces * craftLeakShare }],
  );
  const leaked = counted.reduce((sum, each) => sum + each.leaked, 0);
  const expected = counted.reduce((sum, each) => sum + each.expected, 0);
  return { lots: counted.length, oddsRatio: (leaked + PRIOR_LEAKS) / (expected + PRIOR_LEAKS) };
}

/** How many of a lot leak. */
export interface LeakForecast {
  readonly likelyCount: number;
  readonly lowCount: number;
  readonly highCount: number;
}

/** Standard deviations either way that a range covers: about nine in ten lots. */
const RANGE_DEVIATIONS = 1.6;

/** Leaks among so many pieces, by the binomial's mean and spread; whole and never beyond the pieces. */
export function forecastLeaks(pieces: number, leakShare: number): LeakForecast {
  const mean = pieces * leakShare;
  const reach = RANGE_DEVIATIONS * Math.sqrt(mean * (1 - leakShare));
  return {
    likelyCount: Math.round(mean),
    lowCount: Math.max(Math.floor(mean - reach), 0),
    highCount: Math.min(Math.ceil(mean + reach), pieces),
  };
}
