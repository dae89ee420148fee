import { requireThat } from "../require";
import { findStudentReach } from "./studentT";

/** What is known of a figure, on a scale on which its strays are even: logs of ratios, degrees. */
export interface FigurePrior {
  readonly mean: number;
  /** How far a single lot strays, one standard deviation. */
  readonly sd: number;
  /** How many lots of the baker's own it is worth: as to where the middle is, and as to how far lots stray. */
  readonly worthLots: number;
  readonly sdWorthLots: number;
}

/** What is known after so many lots: a prior for those to come. */
export interface KnownFigure extends FigurePrior {
  /** Lots logged, whatever they weigh. */
  readonly lots: number;
  /** By how much the range of the next lot is told wider, as kept forecasts of its kind were too narrow; 1 or more. */
  readonly widened: number;
}

/** One lot's figure. */
export interface Logged {
  readonly value: number;
  /** Lots of the same figure since then. */
  readonly lotsAgo: number;
}

/** A habit as it stands, and what the next lot is expected to give. */
export interface FigureHabit {
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
/** Beyond so many lots a lot weighs a sixteenth, and is not looked at. */
export const LOTS_LOOKED_AT = 4 * HALF_LIFE_LOTS;
/** Degrees of the t by which wild lots weigh less: at three strays a lot counts for a third, far out for next to nothing. */
const ROBUST_DEGREES = 4;
/**
 * What those weights take off the square of an even stray: 1 over the mean of w z² over the mean of w, z normal and w as
 * above. Integrated numerically; a test does it again.
 */
export const EVEN_SQUARES = 1.3397;
/** Rounds in which weights and middle settle. */
const ROUNDS = 30;
const STILL = 1e-9;
/** The range that is told. */
const RANGE_SHARE = 0.9;

/**
 * What is known of a figure with a log: a normal figure of unknown mean and stray with what was known before as its prior
 * (conjugate), lots weighed less the longer ago they are, and less the farther out they lie.
 * @see Gelman et al., Bayesian Data Analysis, 3rd ed., sections 3.3 (normal, conjugate prior) and 17.2 (t weights).
 * @throws {RangeError} If a figure is no number.
 */
export function learnFigure(prior: FigurePrior | KnownFigure, log: readonly Logged[]): KnownFigure {
  const lots = ("lots" in prior ? prior.lots : 0) + log.length;
  const widened = "widened" in prior ? prior.widened : 1;
  if (log.length === 0) return { ...prior, lots, widened };
  const values = Float64Array.from(log, ({ value }) => value);
  for (const value of values) requireThat("value", value, Number.isFinite(value), "a number");
  const recency = Float64Array.from(log, ({ lotsAgo }) => 2 ** (-lotsAgo / HALF_LIFE_LOTS));
  const weights = recency.slice();
  let known = weigh(prior, values, weights, 1);
  for (let round = 1; round < ROUNDS; round++) {
    const { mean, sd } = known;
    for (let i = 0; i < values.length; i++) {
      const stray = (values[i]! - mean) / sd;
      weights[i] = (recency[i]! * (ROBUST_DEGREES + 1)) / (ROBUST_DEGREES + stray ** 2);
    }
    known = weigh(prior, values, weights, EVEN_SQUARES);
    if (Math.abs(known.mean - mean) + Math.abs(known.sd - sd) < STILL * prior.sd) break;
  }
  return { ...known, lots, widened };
}

/** What is told of what is known: Student's t. */
export function tellFigure(known: KnownFigure): FigureHabit {
  const { lots, mean, sd, worthLots, sdWorthLots } = known;
  const reach = findStudentReach(sdWorthLots, RANGE_SHARE);
  const ofMean = (reach * sd) / Math.sqrt(worthLots);
  const ofNext = reach * spreadOfNext(known);
  return {
    lots,
    mean,
    low: mean - ofMean,
    high: mean + ofMean,
    nextLow: mean - ofNext,
    nextHigh: mean + ofNext,
  };
}

/** A habit from a log. */
export const findFigureHabit = (prior: FigurePrior, log: readonly Logged[]): FigureHabit =>
  tellFigure(learnFigure(prior, log));

/** One standard deviation of the next lot's figure, the middle's own uncertainty included. */
export const spreadOfNext = ({ sd, worthLots, widened }: KnownFigure): number =>
  widened * sd * Math.sqrt(1 + 1 / worthLots);

/** The conjugate update with weights in place of counts. */
function weigh(
  prior: FigurePrior,
  values: Float64Array,
  weights: Float64Array,
  squaresShare: number,
): FigurePrior {
  let [weight, sum] = [0, 0];
  for (let i = 0; i < values.length; i++) {
    weight += weights[i]!;
    sum += weights[i]! * values[i]!;
  }
  const worthLots = prior.worthLots + weight;
  const mean = (prior.worthLots * prior.mean + sum) / worthLots;
  let strays = 0;
  for (let i = 0; i < values.length; i++) strays += weights[i]! * (values[i]! - mean) ** 2;
  const sdWorthLots = prior.sdWorthLots + weight;
  const squares =
    prior.sdWorthLots * prior.sd ** 2 + prior.worthLots * (prior.mean - mean) ** 2 + squaresShare * strays;
  return { mean, worthLots, sdWorthLots, sd: Math.sqrt(squares / sdWorthLots) };
}
