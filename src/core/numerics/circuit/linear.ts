import { valueAt } from '../arrays';

/**
 * A network of n nodes joined by conductances, each also tied to the reference. Networks of
 * positive conductances are solved by eliminating node after node (star–mesh): only sums of
 * positive terms occur, so conductances of 1e-11 S beside 1e2 S lose no digits, where ordinary
 * LU would cancel them away (Grassmann, Taksar and Heyman, Oper. Res. 33, 1985).
 */
export interface Mesh {
  n: number;
  /** Between nodes, S, row-major and symmetric; the diagonal is not used. */
  between: Float64Array;
  /** From each node to the reference, S. */
  toReference: Float64Array;
  /** Sum of a node's conductances when its turn came; filled by `eliminate`. */
  total: Float64Array;
}

/** An empty mesh of n nodes. */
export const mesh = (n: number): Mesh => ({
  n,
  between: new Float64Array(n * n),
  toReference: new Float64Array(n),
  total: new Float64Array(n),
});

/** Adds a conductance between two nodes. */
export function join(m: Mesh, a: number, b: number, conductance_S: number): void {
  m.between[a * m.n + b] = valueAt(m.between, a * m.n + b) + conductance_S;
  m.between[b * m.n + a] = valueAt(m.between, b * m.n + a) + conductance_S;
}

/** Eliminates the nodes in place, from the last to the first. */
export function eliminate(m: Mesh): void {
  const { n, between, toReference, total } = m;
  for (let k = n - 1; k >= 0; k -= 1) {
    const row = k * n;
    let sum = valueAt(toReference, k);
    for (let j = 0; j < k; j += 1) sum += valueAt(between, row + j);
    total[k] = sum;
    for (let i = 0; i < k; i += 1) {
      const share = valueAt(between, row + i) / sum;
      if (share === 0) continue;
      toReference[i] = valueAt(toReference, i) + share * valueAt(toReference, k);
      for (let j = 0; j < i; j += 1) {
        const more = valueAt(between, i * n + j) + share * valueAt(between, row + j);
        between[i * n + j] = more;
        between[j * n + i] = more;
      }
    }
  }
}

/**
 * Node voltages for currents entering the nodes, on an eliminated mesh.
 * @param currents A, overwritten
 * @param volts receives V
 */
export function substitute(m: Mesh, currents: Float64Array, volts: Float64Array): void {
  const { n, between, total } = m;
  for (let k = n - 1; k > 0; k -= 1) {
    const share = valueAt(currents, k) / valueAt(total, k);
    for (let i = 0; i < k; i += 1) currents[i] = valueAt(currents, i) + valueAt(between, k * n + i) * share;
  }
  for (let k = 0; k < n; k += 1) {
    let sum = valueAt(currents, k);
    for (let j = 0; j < k; j += 1) sum += valueAt(between, k * n + j) * valueAt(volts, j);
    volts[k] = sum / valueAt(total, k);
  }
}
