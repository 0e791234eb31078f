import { valueAt } from '../arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { log, sqrt } = Math;

/** The matrix has a pivot that is not above zero: its system has no single least point. */
export class NotPositiveDefinite extends Error {
  constructor(row: number, pivot: number) {
    super(`the matrix is not positive definite: its pivot in row ${row} is ${pivot}`);
  }
}

/**
 * Solves a symmetric positive definite system in place by Cholesky, column by column, passing over
 * zeros: with the nearly diagonal columns first there is little else.
 * @param matrix n × n, its lower triangle, row by row; overwritten with the factor
 * @param rhs n values; overwritten with the solution
 * @returns ½·ln of the determinant
 * @throws NotPositiveDefinite where a pivot is not above zero
 */
export function solveInPlace(matrix: Float64Array, n: number, rhs: Float64Array): number {
  let halfLog = 0;
  for (let k = 0; k < n; k += 1) {
    const squared = valueAt(matrix, k * n + k);
    // Also where it is no number: a comparison with NaN does not hold.
    if (!(squared > 0)) throw new NotPositiveDefinite(k, squared);
    const pivot = sqrt(squared);
    matrix[k * n + k] = pivot;
    halfLog += log(pivot);
    const y = valueAt(rhs, k) / pivot;
    rhs[k] = y;
    for (let i = k + 1; i < n; i += 1) {
      const rowI = i * n;
      const below = valueAt(matrix, rowI + k) / pivot;
      if (below === 0) continue;
      matrix[rowI + k] = below;
      rhs[i] = valueAt(rhs, i) - below * y;
      for (let j = k + 1; j <= i; j += 1) {
        const left = valueAt(matrix, j * n + k);
        // Rows above this one in the column are divided already.
        if (left !== 0) matrix[rowI + j] = valueAt(matrix, rowI + j) - below * left;
      }
    }
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    const x = valueAt(rhs, i) / valueAt(matrix, i * n + i);
    rhs[i] = x;
    for (let j = 0; j < i; j += 1) rhs[j] = valueAt(rhs, j) - valueAt(matrix, i * n + j) * x;
  }
  return halfLog;
}
