/** Newton's steps to a quantile at most: nine in ten of any degrees takes a dozen. */
const MOST_STEPS = 100;
/** Terms of the continued fraction; it mostly ends after twenty. */
const MOST_TERMS = 200;
const STILL = 1e-14;
const TINY = 1e-300;

/**
 * So far from the middle of Student's t, in its scales, that `share` of it lies within: 0.9 gives 1.833 at nine degrees.
 * @param degrees - Above 0, with a fraction. @param share - Above 0, below 1.
 */
export function findStudentReach(degrees: number, share: number): number {
  // The share within grows ever slower, so that tangents never lead beyond: the steps come nearer from below.
  let reach = 0;
  for (let i = 0; i < MOST_STEPS; i++) {
    const step = (share - computeStudentShare(degrees, reach)) / (2 * computeDensity(degrees, reach));
    reach += step;
    if (step <= STILL * reach) break;
  }
  return reach;
}

/** How dense Student's t is, a scale. */
const computeDensity = (degrees: number, reach: number): number =>
  Math.exp(
    logGamma((degrees + 1) / 2) -
      logGamma(degrees / 2) -
      (Math.log(degrees * Math.PI) + (degrees + 1) * Math.log1p(reach ** 2 / degrees)) / 2,
  );

/** The share of Student's t that lies within `reach` scales of its middle: by the incomplete beta function. */
export function computeStudentShare(degrees: number, reach: number): number {
  if (reach === 0) return 0;
  return 1 - incompleteBeta(degrees / (degrees + reach ** 2), degrees / 2, 0.5);
}

/** The regularised incomplete beta function by its continued fraction. @see Press et al., Numerical Recipes, section 6.4. */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2)
    ? (front * betaFraction(x, a, b)) / a
    : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

function betaFraction(x: number, a: number, b: number): number {
  const away = (value: number) => (Math.abs(value) < TINY ? TINY : value);
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m <= MOST_TERMS; m++) {
    for (const term of [
      (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)),
      (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1)),
    ]) {
      d = 1 / away(1 + term * d);
      c = away(1 + term / c);
      fraction *= c * d;
    }
    if (Math.abs(c * d - 1) < STILL) break;
  }
  return fraction;
}

/** Lanczos's approximation, seven terms: good to fifteen digits above 0. @see Press et al., section 6.1. */
function logGamma(x: number): number {
  const terms = [
    676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
    -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const y = x - 1;
  const sum = terms.reduce((total, term, i) => total + term / (y + i + 1), 0.99999999999980993);
  const t = y + terms.length - 0.5;
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}
