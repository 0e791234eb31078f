import { addScaled, valueAt } from '../../numerics/arrays';

/**
 * Steps of a linear system with driven sources, `x' = A x + B s`, `s' = S s`, exact over any number of ticks:
 * the matrix exponential at one tick, squared up to the longest step. Squaring is the scaling-and-squaring method
 * with its halves kept (Moler and Van Loan 2003, method 3), so stiff circuits cost no more than others.
 */

/** Steps of 2^k ticks, k from 0 to `levels`. Rows of n + m: what x becomes from (x, s). */
export interface StepMatrices {
  n: number;
  m: number;
  byLevel: readonly Float64Array[];
}

/** a·b into `out`. Rows from `n` on are those of the sources, which nothing of x moves: their left part stays empty. */
function product(a: Float64Array, b: Float64Array, out: Float64Array, size: number, n: number): void {
  for (let i = 0; i < size; i += 1) {
    const row = i * size;
    out.fill(0, row, row + size);
    for (let k = i < n ? 0 : n; k < size; k += 1) {
      const aik = valueAt(a, row + k);
      if (aik === 0) continue;
      const first = k < n ? 0 : n;
      addScaled(out, row + first, aik, b, k * size + first, size - first);
    }
  }
}

/** e^(M·h) by Taylor, with M·h halved until it is small and squared again. @param n rows of x, before those of the sources */
export function exponential(matrix: Float64Array, size: number, n: number, h: number): Float64Array {
  let norm = 0;
  for (let i = 0; i < size; i += 1) {
    let row = 0;
    for (let j = 0; j < size; j += 1) row += Math.abs(valueAt(matrix, i * size + j));
    norm = Math.max(norm, row * h);
  }
  const halvings = Math.max(0, Math.ceil(Math.log2(Math.max(norm, 1e-300) / 0.1)));
  const scaled = matrix.slice();
  for (let i = 0; i < scaled.length; i += 1) scaled[i] = (valueAt(scaled, i) * h) / 2 ** halvings;
  // Horner: 1 + M(1 + M/2(1 + M/3(…))).
  let sum = new Float64Array(size * size);
  let work = new Float64Array(size * size);
  const one = (of: Float64Array) => {
    for (let i = 0; i < size; i += 1) of[i * size + i] = valueAt(of, i * size + i) + 1;
  };
  one(sum);
  for (let k = 8; k >= 1; k -= 1) {
    product(scaled, sum, work, size, n);
    for (let i = 0; i < work.length; i += 1) work[i] = valueAt(work, i) / k;
    one(work);
    [sum, work] = [work, sum];
  }
  for (let k = 0; k < halvings; k += 1) {
    product(sum, sum, work, size, n);
    [sum, work] = [work, sum];
  }
  return sum;
}

/**
 * @param matrix [[A, B], [0, S]], row by row, (n + m)²
 * @param tick s
 */
export function stepMatrices(
  matrix: Float64Array,
  n: number,
  m: number,
  tick: number,
  levels: number,
): StepMatrices {
  const size = n + m;
  const byLevel: Float64Array[] = [];
  let phi: Float64Array = exponential(matrix, size, n, tick);
  let work: Float64Array = new Float64Array(size * size);
  for (let k = 0; k <= levels; k += 1) {
    byLevel.push(phi.slice(0, n * size));
    if (k === levels) break;
    product(phi, phi, work, size, n);
    [phi, work] = [work, phi];
  }
  return { n, m, byLevel };
}
