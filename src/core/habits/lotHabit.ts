import { requireThat } from "../require";
import { sumSquaresAbout } from "./sums";

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

/** Any number of timed lots of one style, as far as the habit needs them. */
export interface PaceSums {
  readonly lots: number;
  /** Of the logarithm of real over craft minutes. */
  readonly log: number;
  readonly logSquares: number;
}

export const NO_PACES: PaceSums = { lots: 0, log: 0, logSquares: 0 };

/** Those of one style. @throws {RangeError} If minutes are not above 0. */
export function sumPaces(works: readonly TimedWork[], style: string): PaceSums {
  return works.reduce((sums, work) => {
    if (work.style !== style) return sums;
    requireThat("minutes", work.minutes, work.minutes > 0, "above 0");
    requireThat("craftMinutes", work.craftMinutes, work.craftMinutes > 0, "above 0");
    const log = Math.log(work.minutes / work.craftMinutes);
    return addPaces(sums, { lots: 1, log, logSquares: log ** 2 });
  }, NO_PACES);
}

/** Two logs as one. */
export const addPaces = (left: PaceSums, right: PaceSums): PaceSums => ({
  lots: left.lots + right.lots,
  log: left.log + right.log,
  logSquares: left.logSquares + right.logSquares,
});

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
export function findPaceHabit({ lots, log, logSquares }: PaceSums): PaceHabit {
  const weight = lots + PRIOR_LOTS;
  const mean = log / weight;
  const squares =
    PRIOR_LOTS * PRIOR_LOG_SPREAD ** 2 +
    sumSquaresAbout(mean, { count: lots, sum: log, squares: logSquares });
  const spread = Math.sqrt((squares / weight) * (1 + 1 / weight));
  return { lots, ratio: Math.exp(mean), spreadFactor: Math.exp(spread) };
}

/** Any number of lots of one piece whose leaks were counted. */
export interface LeakSums {
  readonly lots: number;
  readonly leaked: number;
  /** Foretold by the craft. */
  readonly expected: number;
}

export const NO_LEAKS: LeakSums = { lots: 0, leaked: 0, expected: 0 };

/** Lots that nobody counted do not count. */
export function sumLeaks(
  outcomes: readonly Pick<LotOutcome, "pieces" | "leaked" | "craftLeakShare">[],
): LeakSums {
  return outcomes.reduce(
    (sums, { pieces, leaked, craftLeakShare }) =>
      leaked === null ? sums : addLeaks(sums, { lots: 1, leaked, expected: pieces * craftLeakShare }),
    NO_LEAKS,
  );
}

/** Two logs as one. */
export const addLeaks = (left: LeakSums, right: LeakSums): LeakSums => ({
  lots: left.lots + right.lots,
  leaked: left.leaked + right.leaked,
  expected: left.expected + right.expected,
});

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
export function findLeakHabit({ lots, leaked, expected }: LeakSums): LeakHabit {
  return { lots, oddsRatio: (leaked + PRIOR_LEAKS) / (expected + PRIOR_LEAKS) };
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
