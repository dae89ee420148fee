/**
 * Solves A·x = b for a symmetric positive definite band matrix, by Cholesky's A = L·Lᵀ without pivoting.
 * @param lower - Row i holds A[i][i − band … i] side by side at i · (band + 1), its diagonal last; what lies
 * left of column 0 is 0. Overwritten with L.
 * @param right - b; overwritten with x. O(n · band²).
 */
export function solveBandInPlace(lower: Float64Array, band: number, right: Float64Array): void {
  const n = right.length;
  const width = band + 1;
  for (let row = 0; row < n; row++) {
    // Column c of this row stands at rowBase + c.
    const rowBase = row * width + band - row;
    const first = row > band ? row - band : 0;
    let value = right[row]!;
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
      const entry = sum / lower[columnBase + column]!;
      lower[rowBase + column] = entry;
      value -= entry * right[column]!;
    }
    let diagonal = lower[rowBase + row]!;
    for (let m = first; m < row; m++) diagonal -= lower[rowBase + m]! * lower[rowBase + m]!;
    diagonal = Math.sqrt(diagonal);
    lower[rowBase + row] = diagonal;
    right[row] = value / diagonal;
  }
  for (let row = n - 1; row >= 0; row--) {
    const rowBase = row * width + band - row;
    const value = right[row]! / lower[rowBase + row]!;
    right[row] = value;
    for (let m = row > band ? row - band : 0; m < row; m++)
      right[m] = right[m]! - lower[rowBase + m]! * value;
  }
}
