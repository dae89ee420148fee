import { requireThat } from "../require";
import { findStudentReach } from "./studentT";

/** How a figure is told: as a share of what was planned, kept as its logarithm; or in degrees off a setting. */
export type FigureScale = "share" | "degrees";

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
/** One day moves a habit by no more than so much of the range it was known to lie in: more is a day of its own, not a habit. */
export const MOST_MOVED_SHARE = 0.25;
/** The range that is told. */
const RANGE_SHARE = 0.9;
/** Half of that range were the stray known: the normal's reach, which the t's only exceeds. */
const LEAST_REACH = 1.6449;

/**
 * What is known of a figure after one more day: a normal figure of unknown mean and stray, what was known before as its
 * prior (conjugate). What was known judges the day: its lots weigh less the farther out they lie, and together they move
 * the middle by {@link MOST_MOVED_SHARE} at most. What was logged before fades, down to what the craft's word is worth.
 * @param craft - What its word is worth: evidence never fades below it.
 * @param values - The day's lots, on the habit's scale; their order says nothing.
 * @see Gelman et al., Bayesian Data Analysis, 3rd ed., section 3.3 (conjugate normal); West, J. R. Stat. Soc. B 43 (1981)
 * (a wild figure judged by what was known); West and Harrison, Bayesian Forecasting and Dynamic Models (fading evidence).
 * @throws {RangeError} If a figure is no number.
 */
export function learnDay(craft: FigurePrior, known: KnownFigure, values: readonly number[]): KnownFigure {
  if (values.length === 0) return known;
  for (const value of values) requireThat("value", value, Number.isFinite(value), "a number");
  const fade = 2 ** (-values.length / HALF_LIFE_LOTS);
  const fadeTo = (worth: number, least: number) => least + (worth - least) * fade;
  const priorLots = fadeTo(known.worthLots, craft.worthLots);
  const priorSdLots = fadeTo(known.sdWorthLots, craft.sdWorthLots);

  const expectedSd = known.sd * Math.sqrt(1 + 1 / known.worthLots);
  let [weight, sum] = [0, 0];
  const weights = values.map((value) => {
    const stray = (value - known.mean) / expectedSd;
    const each = (ROBUST_DEGREES + 1) / (ROBUST_DEGREES + stray ** 2);
    weight += each;
    sum += each * (value - known.mean);
    return each;
  });
  const worthLots = priorLots + weight;
  const mostMove = (MOST_MOVED_SHARE * 2 * LEAST_REACH * known.sd) / Math.sqrt(known.worthLots);
  const move = Math.min(Math.max(sum / worthLots, -mostMove), mostMove);
  const mean = known.mean + move;

  const sdWorthLots = priorSdLots + weight;
  const strays = values.reduce((all, value, i) => all + weights[i]! * (value - mean) ** 2, 0);
  const squares = priorSdLots * known.sd ** 2 + priorLots * move ** 2 + EVEN_SQUARES * strays;
  return {
    ...{ mean, worthLots, sdWorthLots, sd: Math.sqrt(squares / sdWorthLots) },
    lots: known.lots + values.length,
    widened: known.widened,
  };
}

/** What is known after so many days. @param days - Lots of each, the oldest day first. */
export const learnDays = (craft: FigurePrior, days: readonly (readonly number[])[]): KnownFigure =>
  days.reduce<KnownFigure>((known, values) => learnDay(craft, known, values), {
    ...craft,
    lots: 0,
    widened: 1,
  });

/** What is known from a log, whatever its order: dates sort as text. */
export function learnLog(
  craft: FigurePrior,
  log: readonly { readonly date: string; readonly value: number }[],
): KnownFigure {
  const days = new Map<string, number[]>();
  for (const { date, value } of log) days.set(date, [...(days.get(date) ?? []), value]);
  const dates = [...days.keys()].sort();
  return learnDays(
    craft,
    dates.map((date) => days.get(date)!),
  );
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

/** One standard deviation of the next lot's figure, the middle's own uncertainty included. */
export const spreadOfNext = ({ sd, worthLots, widened }: KnownFigure): number =>
  widened * sd * Math.sqrt(1 + 1 / worthLots);
