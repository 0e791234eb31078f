import { addScaled, valueAt } from '../../numerics/arrays';

/**
 * Solves G·V = J for several right-hand sides by elimination with the largest pivot of each column.
 * @param G size × size, row by row, overwritten
 * @param J size × width, overwritten
 * @returns V, size × width
 * @throws RangeError where the matrix is singular
 */
export function solveRows(G: Float64Array, J: Float64Array, size: number, width: number): Float64Array {
  for (let k = 0; k < size; k += 1) {
    let best = k;
    for (let i = k + 1; i < size; i += 1)
      if (Math.abs(valueAt(G, i * size + k)) > Math.abs(valueAt(G, best * size + k))) best = i;
    if (best !== k) {
      swap(G, k, best, size);
      swap(J, k, best, width);
    }
    const pivot = valueAt(G, k * size + k);
    // Also where it is no number: a comparison with NaN does not hold.
    if (!(Math.abs(pivot) > 0)) throw new RangeError(`the matrix is singular: column ${k} has no pivot`);
    for (let i = k + 1; i < size; i += 1) {
      const f = valueAt(G, i * size + k) / pivot;
      if (f === 0) continue;
      addScaled(G, i * size + k, -f, G, k * size + k, size - k);
      addScaled(J, i * width, -f, J, k * width, width);
    }
  }
  for (let k = size - 1; k >= 0; k -= 1) {
    const pivot = valueAt(G, k * size + k);
    for (let j = 0; j < width; j += 1) {
      let sum = valueAt(J, k * width + j);
      for (let i = k + 1; i < size; i += 1) sum -= valueAt(G, k * size + i) * valueAt(J, i * width + j);
      J[k * width + j] = sum / pivot;
    }
  }
  return J;
}

function swap(rows: Float64Array, a: number, b: number, width: number): void {
  for (let j = 0; j < width; j += 1) {
    const kept = valueAt(rows, a * width + j);
    rows[a * width + j] = valueAt(rows, b * width + j);
    rows[b * width + j] = kept;
  }
}
