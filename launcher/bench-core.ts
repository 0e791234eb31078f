/** Timed parts of the core, bundled and run in a process of their own (see bench.ts). */
import { commonMeter, forwardPlan, fullPlan, networkOf, readings, stage } from '@/core/power-stage';
import { diagnose, tablesFor } from '@/core/static-diagnosis';

const median = (list: number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

function timed(times: number, work: () => void): number {
  const all: number[] = [];
  for (let i = 0; i < times; i += 1) {
    const started = performance.now();
    work();
    all.push(performance.now() - started);
  }
  return median(all);
}

const on = stage({ brake: true, link: 'link', dcrAccessible: true });
const faults = [{ component: 'rect.L2.hi', mode: 'open' }] as const;
const network = networkOf({ stage: on, temperature_C: 25, faults });
const forward = readings(network, forwardPlan(on), commonMeter);
const full = readings(network, fullPlan(on), commonMeter);
const tables = tablesFor(on, commonMeter);
// Warm: a worker has judged some readings before the one that is measured.
for (let i = 0; i < 20; i += 1) diagnose(tables, full);

process.stdout.write(
  JSON.stringify({
    hypotheses: tables.singles.length + tables.trapped.length + tables.pairs.length,
    prepare_ms: timed(3, () => void tablesFor(on, commonMeter)),
    forward_ms: timed(60, () => void diagnose(tables, forward)),
    full_ms: timed(60, () => void diagnose(tables, full)),
    reading_ms: timed(30, () => void readings(network, fullPlan(on), commonMeter)) / full.length,
  }),
);
