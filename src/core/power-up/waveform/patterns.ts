import type { WaveCase } from './case';
import type { StepMatrices } from './exponential';
import type { Topology } from './topology';

/** One pattern of conduction, with its steps. */
export interface Pattern {
  topology: Topology;
  steps: StepMatrices;
  watched: number;
}

/** Patterns of the circuits computed last: the same circuit at another reference, or again, finds them made. */
const circuits = new Map<string, Map<number, Pattern>>();
const circuitsKept = 12;

/** The patterns met so far of a circuit; references, carrier and start do not matter to them. */
export function patternsOf(given: WaveCase, driven: boolean): Map<number, Pattern> {
  const { supply, rectifier, link, bank, load, inverter, motor } = given;
  const { m: _m, mode: _mode, fc: _fc, deadTime: _dead, ...devices } = inverter;
  const v0 = { ...bank, v0: 0 };
  const key = JSON.stringify([
    driven,
    supply,
    rectifier,
    link,
    v0,
    load,
    ...(driven ? [] : [devices, motor]),
  ]);
  const kept = circuits.get(key) ?? new Map<number, Pattern>();
  circuits.delete(key);
  circuits.set(key, kept);
  for (const oldest of circuits.keys()) {
    if (circuits.size <= circuitsKept) break;
    circuits.delete(oldest);
  }
  return kept;
}
