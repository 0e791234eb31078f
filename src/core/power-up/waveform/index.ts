// Currents and voltages of a drive's power circuit over time, computed.
import { caseProblems, ImpossibleCircuit, type WaveCase } from './case';
import { figuresOf, type Figures } from './figures';
import { runSplit } from './split';
import { samplesPerPeriod } from './timing';
import { mustHold, runWhole, type NetworkRun } from './whole';

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

/**
 * The halves meet once a sample: they may be computed apart where the bus hardly moves in between. It moves by itself, with
 * the bank against what feeds it, and by what the motor draws. Within these limits its least and most are right to 1 % (tried
 * against the whole network).
 */
const mostTurn_rad = 0.3;
const mostDroop = 1 / 15;

function halvesDo({ supply, link, bank, inverter, motor }: WaveCase): boolean {
  const sample_s = 1 / (supply.f * samplesPerPeriod);
  const L = (supply.phases === 1 ? 1 : 2) * supply.Ls + link.Ldc;
  const stiff = sample_s > mostTurn_rad * Math.sqrt(L * bank.C);
  const ohm = Math.hypot(motor.R, 2 * Math.PI * inverter.f1 * motor.L);
  return !stiff && sample_s < mostDroop * ohm * bank.C;
}
/**
 * Currents and voltages of a case over its window.
 * @param how `auto` takes the whole network for an earth fault and the two halves otherwise; they agree
 *   within 0.3 % of the load's RMS and 0.05 % of the bus (checks/waveform-ngspice.test.ts). The whole is taken, too, where
 *   the bus moves too fast for the halves
 * @throws ImpossibleCircuit for what `caseProblems` names, and where a run finds a circuit that it cannot follow
 */
export function simulateWave(given: WaveCase, how: 'auto' | 'whole' | 'split' = 'auto'): Wave {
  const [problem] = caseProblems(given);
  if (problem !== undefined) throw new ImpossibleCircuit(problem);
  const halves =
    given.load.kind === 'inverter' &&
    (how === 'split' || (how === 'auto' && given.inverter.earthFault === null && halvesDo(given)));
  const run = halves ? runSplit(given) : runWhole(given);
  mustHold(given, run.sums.least['vdc'] ?? 0);
  return { run, figures: figuresOf(given, run), by: halves ? 'two halves' : 'whole network' };
}
