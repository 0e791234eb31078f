import { probeKey, type Probe, type Value } from '../../equipment/power-stage';
import { item } from '../../numerics/arrays';

/** A reading as it was entered. */
export interface RawReading extends Probe {
  value: Value;
}

/** What is known of one probe after all its repeats. */
export interface Observation {
  probe: Probe;
  key: string;
  state: 'OL' | 'climbing' | 'finite';
  /** What the finite repeats come to, V; 0 when the state is not finite. */
  volts: number;
  repeats: number;
  /** Repeats that say something else than the rest, with no majority either way. */
  contradictory: boolean;
}

const median = (sorted: readonly number[]): number => {
  const middle = sorted.length / 2;
  const upper = sorted[Math.floor(middle)] ?? 0;
  return Number.isInteger(middle) ? ((sorted[middle - 1] ?? 0) + upper) / 2 : upper;
};

/** Repeats this near each other are the same reading with noise, V. */
const same_V = 0.015;

/**
 * One figure from the finite repeats of a probe: of two that differ the newer, which was taken with
 * care because the first was doubted; else the median.
 */
function settled(figures: readonly number[]): number {
  const sorted = [...figures].sort((a, b) => a - b);
  const spread = (sorted[sorted.length - 1] ?? 0) - (sorted[0] ?? 0);
  return figures.length === 2 && spread > same_V ? (figures[1] ?? 0) : median(sorted);
}

/**
 * Joins the repeats of each probe. States are put to the vote: overload once and 0.45 V once is a
 * contradiction, a third reading settles it. A climbing figure is a state on its way to overload,
 * so a later overload on the same probe settles it.
 */
export function observe(readings: readonly RawReading[]): Observation[] {
  const byProbe = new Map<string, RawReading[]>();
  for (const reading of readings) {
    const key = probeKey(reading);
    const list = byProbe.get(key);
    if (list === undefined) byProbe.set(key, [reading]);
    else list.push(reading);
  }
  return [...byProbe].map(([key, repeats]) => {
    const finite = repeats.flatMap((r) => (typeof r.value === 'number' ? [r.value] : []));
    const overload = repeats.filter((r) => r.value === 'OL').length;
    const blocked = repeats.length - finite.length;
    const first = item(repeats, 0);
    const probe = { red: first.red, black: first.black };
    const state =
      finite.length > blocked ? 'finite' : overload > 0 ? 'OL' : blocked > 0 ? 'climbing' : 'finite';
    return {
      probe,
      key,
      state,
      volts: state === 'finite' ? settled(finite) : 0,
      repeats: repeats.length,
      contradictory: finite.length > 0 && finite.length === blocked,
    };
  });
}
