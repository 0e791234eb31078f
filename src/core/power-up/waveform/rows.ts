/**
 * Solves G·V = J for several right-hand sides by elimination with the largest pivot of each column.
 * @param G size × size, row by row, overwritten
 * @param J size × width, overwritten
 * @returns V, size × width
 */
export function solveRows(G: Float64Array, J: Float64Array, size: number, width: number): Float64Array {
  for (let k = 0; k < size; k += 1) {
    let best = k;
    for (let i = k + 1; i < size; i += 1)
      if (Math.abs(G[i * size + k] as number) > Math.abs(G[best * size + k] as number)) best = i;
    if (best !== k) {
      swap(G, k, best, size);
      swap(J, k, best, width);
    }
    const pivot = G[k * size + k] as number;
    for (let i = k + 1; i < size; i += 1) {
      const f = (G[i * size + k] as number) / pivot;
      if (f === 0) continue;
      for (let j = k; j < size; j += 1)
        G[i * size + j] = (G[i * size + j] as number) - f * (G[k * size + j] as number);
      for (let j = 0; j < width; j += 1)
        J[i * width + j] = (J[i * width + j] as number) - f * (J[k * width + j] as number);
    }
  }
  for (let k = size - 1; k >= 0; k -= 1) {
    const pivot = G[k * size + k] as number;
    for (let j = 0; j < width; j += 1) {
      let sum = J[k * width + j] as number;
      for (let i = k + 1; i < size; i += 1) sum -= (G[k * size + i] as number) * (J[i * width + j] as number);
      J[k * width + j] = sum / pivot;
    }
  }
  return J;
}

function swap(rows: Float64Array, a: number, b: number, width: number): void {
  for (let j = 0; j < width; j += 1) {
    const kept = rows[a * width + j] as number;
    rows[a * width + j] = rows[b * width + j] as number;
    rows[b * width + j] = kept;
  }
}
