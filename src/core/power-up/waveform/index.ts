// Currents and voltages of a drive's power circuit over time, computed.
import { caseProblems, type WaveCase } from './case';
import { figuresOf, type Figures } from './figures';
import { runSplit } from './split';
import { runWhole, type NetworkRun } from './whole';

export * from './case';
export { figuresOf, rmsOfSum, type Figures } from './figures';
export type { TraceName } from './recorder';
export {
  lerp,
  coarser,
  meanOf,
  partAt,
  rmsAbout,
  spectrumOf,
  strongest,
  wholePeriods,
  type Harmonic,
  type UniformSeries,
  type Spectrum,
} from './spectrum';
export type { NetworkRun } from './whole';
export { circuitOf, scaledLoad, type Assumed, type MotorWords, type Running, type UnitWords } from './unit';

/** A run with its figures, and which scheme made it. */
export interface Wave {
  run: NetworkRun;
  figures: Figures;
  by: 'whole network' | 'two halves';
}

/** The circuit cannot be run as it was given; the message says why. */
export class ImpossibleCircuit extends Error {}

/**
 * Currents and voltages of a case over its window.
 * @param how `auto` takes the whole network for an earth fault and the two halves otherwise; they agree
 *   within 0.3 % of the load's RMS and 0.05 % of the bus (checks/waveform-ngspice.test.ts)
 * @throws ImpossibleCircuit for what `caseProblems` names
 */
export function simulateWave(given: WaveCase, how: 'auto' | 'whole' | 'split' = 'auto'): Wave {
  const [problem] = caseProblems(given);
  if (problem !== undefined) throw new ImpossibleCircuit(`${problem.path}: ${problem.allowed}`);
  const halves =
    given.load.kind === 'inverter' &&
    (how === 'split' || (how === 'auto' && given.inverter.earthFault === null));
  const run = halves ? runSplit(given) : runWhole(given);
  return { run, figures: figuresOf(given, run), by: halves ? 'two halves' : 'whole network' };
}
