/**
 * Cholesky's A = L·Lᵀ of a symmetric positive definite band matrix, without pivoting. O(n · band²).
 * @param lower - Row i holds A[i][i − band … i] side by side at i · (band + 1), its diagonal last; what lies
 * left of column 0 is 0. Overwritten with L.
 */
export function factorBandInPlace(lower: Float64Array, band: number): void {
  const width = band + 1;
  const n = lower.length / width;
  for (let row = 0; row < n; row++) {
    // Column c of this row stands at rowBase + c.
    const rowBase = row * width + band - row;
    const first = row > band ? row - band : 0;
    for (let column = first; column < row; column++) {
      const columnBase = column * width + band - column;
      let sum = lower[rowBase + column]!;
      // Two products a turn: the second does not wait for the first.
      let other = 0;
      let m = first > column - band ? first : column - band;
      for (; m + 1 < column; m += 2) {
        sum -= lower[rowBase + m]! * lower[columnBase + m]!;
        other -= lower[rowBase + m + 1]! * lower[columnBase + m + 1]!;
      }
      if (m < column) sum -= lower[rowBase + m]! * lower[columnBase + m]!;
      sum += other;
      lower[rowBase + column] = sum / lower[columnBase + column]!;
    }
    let diagonal = lower[rowBase + row]!;
    for (let m = first; m < row; m++) diagonal -= lower[rowBase + m]! * lower[rowBase + m]!;
    lower[rowBase + row] = Math.sqrt(diagonal);
  }
}

/**
 * Solves L·Lᵀ·x = b. O(n · band).
 * @param factor - L, as {@link factorBandInPlace} leaves it. @param right - b; overwritten with x.
 */
export function solveFactoredInPlace(factor: Float64Array, band: number, right: Float64Array): void {
  const n = right.length;
  const width = band + 1;
  for (let row = 0; row < n; row++) {
    const rowBase = row * width + band - row;
    let value = right[row]!;
    for (let m = row > band ? row - band : 0; m < row; m++) value -= factor[rowBase + m]! * right[m]!;
    right[row] = value / factor[rowBase + row]!;
  }
  for (let row = n - 1; row >= 0; row--) {
    const rowBase = row * width + band - row;
    const value = right[row]! / factor[rowBase + row]!;
    right[row] = value;
    for (let m = row > band ? row - band : 0; m < row; m++)
      right[m] = right[m]! - factor[rowBase + m]! * value;
  }
}
