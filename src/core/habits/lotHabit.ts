import { requireThat } from "../require";
import type { CraftHold } from "./holdHabit";
import { sumSquaresAbout } from "./sums";

/**
 * What was logged of one lot. Beside each real figure stands what the craft reckoned for it then, without any habit:
 * the log corrects the craft, whatever the piece looked like that day.
 */
export interface LotOutcome extends CraftHold {
  /** Whole, at least 1. */
  readonly pieces: number;
  /** Minutes of hands for the lot and the way it was done (a measure, a crimp); null where it was not timed. */
  readonly fill: TimedWork | null;
  readonly close: TimedWork | null;
  /** Pieces that leaked or burst; null where nobody counted. */
  readonly leaked: number | null;
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
