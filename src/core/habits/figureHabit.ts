import { requireThat } from "../require";
import { findStudentReach } from "./studentT";

/** What the craft says of a figure before anything is logged, on a scale on which its strays are even: logs of ratios, degrees. */
export interface FigurePrior {
  readonly mean: number;
  /** How far a single lot strays, one standard deviation. */
  readonly sd: number;
  /** How many lots of the baker's own it is worth: as to where the middle is, and as to how far lots stray. */
  readonly worthLots: number;
  readonly sdWorthLots: number;
}

/** One lot's figure. */
export interface Logged {
  readonly value: number;
  /** Lots of the same figure since then. */
  readonly lotsAgo: number;
}

/** A habit as it stands, and what the next lot is expected to give. */
export interface FigureHabit {
  /** Lots logged, whatever they weigh. */
  readonly lots: number;
  /** Likeliest. */
  readonly mean: number;
  /** Nine in ten that the habit itself lies here. */
  readonly low: number;
  readonly high: number;
  /** Nine in ten that the next lot's figure lies here. */
  readonly nextLow: number;
  readonly nextHigh: number;
}

/** A lot weighs half as much after so many more: hands, ovens and flour change within a season of market days. */
const HALF_LIFE_LOTS = 20;
/** Degrees of the t by which wild lots weigh less: at three strays a lot counts for a third, far out for next to nothing. */
const ROBUST_DEGREES = 4;
/**
 * What those weights take off the square of an even stray: 1 over the mean of w z² over the mean of w, z normal and w as
 * above. Integrated numerically; a test does it again.
 */
export const EVEN_SQUARES = 1.3397;
/** Rounds in which weights and middle settle. */
const ROUNDS = 30;
const STILL = 1e-10;
/** The range that is told. */
const RANGE_SHARE = 0.9;

/**
 * A habit from a log: a normal figure of unknown mean and stray with the craft's prior (conjugate), lots weighed less the
 * longer ago they are, and less the farther out they lie. What is told is Student's t of what is then known.
 * @see Gelman et al., Bayesian Data Analysis, 3rd ed., sections 3.3 (normal, conjugate prior) and 17.2 (t weights).
 * @throws {RangeError} If a figure is no number.
 */
export function findFigureHabit(prior: FigurePrior, log: readonly Logged[]): FigureHabit {
  for (const { value } of log) requireThat("value", value, Number.isFinite(value), "a number");
  let weights = log.map(({ lotsAgo }) => 2 ** (-lotsAgo / HALF_LIFE_LOTS));
  const recency = weights;
  let [mean, sd] = [prior.mean, prior.sd];
  let known = weigh(prior, log, weights, 1);
  for (let round = 0; round < ROUNDS; round++) {
    known = weigh(prior, log, weights, round === 0 ? 1 : EVEN_SQUARES);
    const moved = Math.abs(known.mean - mean) + Math.abs(known.sd - sd);
    [mean, sd] = [known.mean, known.sd];
    if (round > 0 && moved < STILL * prior.sd) break;
    weights = log.map(({ value }, i) => {
      const stray = (value - mean) / sd;
      return (recency[i]! * (ROBUST_DEGREES + 1)) / (ROBUST_DEGREES + stray ** 2);
    });
  }
  const reach = findStudentReach(known.degrees, RANGE_SHARE);
  const ofMean = (reach * known.sd) / Math.sqrt(known.worth);
  const ofNext = reach * known.sd * Math.sqrt(1 + 1 / known.worth);
  return {
    lots: log.length,
    mean,
    low: mean - ofMean,
    high: mean + ofMean,
    nextLow: mean - ofNext,
    nextHigh: mean + ofNext,
  };
}

/** The conjugate update with weights in place of counts. */
function weigh(prior: FigurePrior, log: readonly Logged[], weights: readonly number[], squaresShare: number) {
  const weight = weights.reduce((sum, each) => sum + each, 0);
  const worth = prior.worthLots + weight;
  const sum = log.reduce((total, { value }, i) => total + weights[i]! * value, 0);
  const mean = (prior.worthLots * prior.mean + sum) / worth;
  const degrees = prior.sdWorthLots + weight;
  const squares =
    prior.sdWorthLots * prior.sd ** 2 +
    prior.worthLots * (prior.mean - mean) ** 2 +
    squaresShare * log.reduce((total, { value }, i) => total + weights[i]! * (value - mean) ** 2, 0);
  return { mean, worth, degrees, sd: Math.sqrt(squares / degrees) };
}
