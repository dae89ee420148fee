import { requireThat } from "../require";

/** Of fewer figures nobody can tell how far they stray. */
export const LEAST_STRAYED = 3;
/** Figures that are all the same were read too coarsely to tell: half a hundredth is as even as a hand gets. */
const LEAST_STRAY = 0.005;

/**
 * How far figures of one lot stray about their own mean, as the logarithm of a share of it: of a scale's portions, of a
 * sheet's thickness here and there. What a few figures tell too low is made good, so that lots of few and of many agree.
 * @param figures - Each above 0, in one unit. @returns Null of fewer than {@link LEAST_STRAYED}.
 * @see Of normal figures E[ln s²] = ln σ² + ψ(ν/2) − ln(ν/2), ν = n − 1 (Bartlett and Kendall, 1946).
 * @throws {RangeError} If a figure is not above 0.
 */
export function toStrayLog(figures: readonly number[]): number | null {
  for (const figure of figures) requireThat("figure", figure, figure > 0, "above 0");
  if (figures.length < LEAST_STRAYED) return null;
  const mean = figures.reduce((sum, each) => sum + each, 0) / figures.length;
  const half = (figures.length - 1) / 2;
  const square = figures.reduce((sum, each) => sum + (each / mean - 1) ** 2, 0) / (2 * half);
  return Math.log(Math.max(Math.sqrt(square), LEAST_STRAY)) - (digamma(half) - Math.log(half)) / 2;
}

/** From here on its asymptotic series is good to nine digits. */
const SERIES_FROM = 8;

/** The logarithmic derivative of the gamma function. @see Abramowitz and Stegun, 6.3.5 and 6.3.18. */
function digamma(at: number): number {
  let [x, below] = [at, 0];
  for (; x < SERIES_FROM; x++) below += 1 / x;
  const square = 1 / x ** 2;
  return Math.log(x) - 1 / (2 * x) - square * (1 / 12 - square * (1 / 120 - square / 252)) - below;
}
