import { item, matrixTimes, valueAt } from '../../numerics/arrays';
import type { StepMatrices } from './exponential';
import { LOAD, ONE, SIN, type SwitchedNetwork } from './network';
import { longestLevel } from './timing';

/** Cosine and sine of each ω over 2^level ticks, level by level. */
const turnsOf = (omegas: readonly number[], ticksPerSecond: number): Float64Array[] =>
  Array.from({ length: longestLevel + 1 }, (_, k) =>
    Float64Array.from(
      omegas.flatMap((w) => [Math.cos, Math.sin].map((f) => f((w * 2 ** k) / ticksPerSecond))),
    ),
  );

/** The states and sources of a circuit, and their time. Steps are tried before they are taken. */
export interface MovingState {
  /** States, then sources; another array after each step. */
  now: () => Float64Array;
  ticks: () => number;
  /** What there is 2^level ticks on; it stands until the next one is tried. */
  tried: (steps: StepMatrices, level: number) => Float64Array;
  /** Takes the step that was tried last. */
  take: (level: number) => void;
  /** Marks a place to go back to. */
  mark: () => void;
  back: () => void;
}

/**
 * A state at rest, with its bank charged and its sources at time zero.
 * @param omegas of its sine and cosine pairs, rad/s
 */
export function movingState(
  { n, m, bankState }: SwitchedNetwork,
  bank_V: number,
  omegas: readonly number[],
  ticksPerSecond: number,
): MovingState {
  const turns = turnsOf(omegas, ticksPerSecond);
  // Numbers that change at each step live in arrays: a changing number in a closure is a new object each time.
  let z = new Float64Array(n + m);
  let next = new Float64Array(n + m);
  const marked = new Float64Array(n + m);
  const clock = new Float64Array(2);
  z[bankState] = bank_V;
  z[n + ONE] = 1;
  omegas.forEach((_, i) => (z[n + SIN + 2 * i + 1] = 1));
  return {
    now: () => z,
    ticks: () => valueAt(clock, 0),
    tried: (steps, level) => {
      const turn = item(turns, level);
      matrixTimes(item(steps.byLevel, level), z, next, n, n + m);
      next[n + ONE] = 1;
      next[n + LOAD] = valueAt(z, n + LOAD);
      for (let i = 0; i < omegas.length; i += 1) {
        const phase = n + SIN + 2 * i;
        const c = valueAt(turn, 2 * i);
        const s = valueAt(turn, 2 * i + 1);
        const sin = valueAt(z, phase);
        const cos = valueAt(z, phase + 1);
        next[phase] = sin * c + cos * s;
        next[phase + 1] = cos * c - sin * s;
      }
      return next;
    },
    take: (level) => {
      const kept = z;
      z = next;
      next = kept;
      clock[0] = valueAt(clock, 0) + (1 << level);
    },
    mark: () => {
      marked.set(z);
      clock[1] = valueAt(clock, 0);
    },
    back: () => {
      z.set(marked);
      clock[0] = valueAt(clock, 1);
    },
  };
}

/** The longest step that does not go beyond a time, as a power of two of ticks. */
export const levelTo = (ticks: number): number => Math.min(longestLevel, 31 - Math.clz32(ticks));
