/** So many figures, known by their sums. */
export interface Sums {
  readonly count: number;
  readonly sum: number;
  readonly squares: number;
}

/**
 * Sum of the squared distances of so many figures from `middle`. Shares and logarithms of ratios lie near 1 and 0, so
 * that raw sums lose some ten of sixteen digits at worst; what rounding makes negative is 0.
 */
export function sumSquaresAbout(middle: number, { count, sum, squares }: Sums): number {
  return Math.max(squares - 2 * middle * sum + count * middle ** 2, 0);
}
