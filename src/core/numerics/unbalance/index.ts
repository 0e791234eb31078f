// NEMA MG 1 (from memory): unbalance is the largest deviation from the mean over the mean.

import { roundSignificant } from '../figures';

/** Three voltages (V) or currents (A), and what feeds the motor. */
export interface UnbalanceTest {
  values: readonly [number, number, number];
  of: 'voltage' | 'current';
  fedFrom?: 'line' | 'drive' | undefined;
}

/** The unbalance with its judgement and source. */
export interface UnbalanceResult {
  mean: number;
  unbalance_percent: number;
  /** Share of its power a line-fed motor may give; null where that is not the question. */
  deratingFactor: number | null;
  verdict: 'pass' | 'doubtful' | 'fail';
  source: string;
  sum: string;
}

/** @param values of one kind; all zero is no unbalance */
export function unbalanceOf(values: readonly number[]): { mean: number; unbalance_percent: number } {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const worst = Math.max(...values.map((v) => Math.abs(v - mean)));
  return {
    mean: roundSignificant(mean, 5),
    unbalance_percent: mean === 0 ? 0 : Number(((100 * worst) / mean).toFixed(2)),
  };
}

/** Points of the derating curve of NEMA MG 1, from memory: unbalance in %, share of the rated power. */
const curve: readonly (readonly [percent: number, factor: number])[] = [
  [0, 1],
  [1, 1],
  [2, 0.95],
  [3, 0.88],
  [4, 0.82],
  [5, 0.75],
];

function deratingFor(percent: number): number {
  const at = curve.findIndex(([p]) => p >= percent);
  const [p1, f1] = curve[at] ?? [5, 0];
  if (at < 0) return 0;
  const [p0, f0] = curve[at - 1] ?? [0, 1];
  return p1 === p0 ? f1 : Number((f0 + ((percent - p0) / (p1 - p0)) * (f1 - f0)).toFixed(3));
}

interface Limits {
  pass: number;
  doubtful: number;
  source: string;
}
const limitsFor = ({ of, fedFrom = 'line' }: UnbalanceTest): Limits =>
  of === 'voltage'
    ? fedFrom === 'line'
      ? { pass: 1, doubtful: 5, source: 'NEMA MG 1, from memory' }
      : { pass: 2, doubtful: 3, source: 'common practice, no source: the limit of the maker decides' }
    : fedFrom === 'line'
      ? { pass: 10, doubtful: 20, source: 'common practice, no source' }
      : { pass: 5, doubtful: 10, source: 'common practice, no source' };

/** Unbalance of three values: 100 × largest deviation from the mean ÷ mean, judged, with the derating of a line-fed motor and its source. */
export function unbalance(test: UnbalanceTest): UnbalanceResult {
  const { mean, unbalance_percent } = unbalanceOf(test.values);
  const { pass, doubtful, source } = limitsFor(test);
  if (mean === 0)
    return {
      ...{ mean, unbalance_percent, deratingFactor: null, verdict: 'fail', source },
      sum: `all three are 0 ${test.of === 'voltage' ? 'V: no supply' : 'A: no load'}, or nothing was measured`,
    };
  const worst = roundSignificant(Math.max(...test.values.map((v) => Math.abs(v - mean))), 5);
  return {
    mean,
    unbalance_percent,
    deratingFactor: test.of === 'voltage' && test.fedFrom === 'line' ? deratingFor(unbalance_percent) : null,
    verdict: unbalance_percent <= pass ? 'pass' : unbalance_percent <= doubtful ? 'doubtful' : 'fail',
    source,
    sum: `100 × ${worst} ÷ ${mean} = ${unbalance_percent} %`,
  };
}
