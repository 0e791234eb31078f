import { performance } from 'node:perf_hooks';

/** The middle one of some figures. */
export const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

/** Median of how long some work takes, ms. */
export function timed(times: number, work: () => unknown): number {
  const all: number[] = [];
  for (let i = 0; i < times; i += 1) {
    const started = performance.now();
    work();
    all.push(performance.now() - started);
  }
  return median(all);
}
