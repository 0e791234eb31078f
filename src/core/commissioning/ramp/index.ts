// Ramps seen, not guessed.
import { formatSignificant } from '../../numerics/figures';
import { inertiaOf, speedOf, type RampCase } from './model';
import { shortestDown, shortestUp, type Shortest } from './shortest';
import { simulate, type RampRun } from './simulate';

export {
  inertiaFromCoastDown,
  inertiaOf,
  loadCurves,
  loadTorque,
  speedOf,
  type LoadCurve,
  type RampCase,
} from './model';
export { machineCase, type InertiaKnown, type MachineWords } from './machine-case';
export { shortestDown, shortestUp, type Shortest } from './shortest';
export { simulate, type RampRun, type RampSample, type Trip } from './simulate';

/** What a brake resistor must stand for a stop and for a cycle of stops. */
export interface BrakeNeed {
  peak_W: number;
  energy_J: number;
  /** Over a cycle of stops. */
  average_W: number;
  /** Share of the cycle in which something comes back. */
  duty: number;
  /** Most ohms that still take the peak at the chopper's voltage; null where nothing comes back. */
  most_ohm: number | null;
  /** Of a hanging load: what comes back all the way while it is lowered at full speed, W. */
  lowering_W: number | null;
  sum: string;
}

/** A run, its shortest ramps, and what its stop asks of a brake resistor. */
export interface RampAnswer {
  run: RampRun;
  shortestUp: Shortest;
  shortestDown: Shortest;
  brake: BrakeNeed;
  /** Energy in what turns at full speed, J. */
  turning_J: number;
}

/** What a resistor must bear for this stop. @param cycle_s time from stop to stop */
export function brakeNeed(
  given: RampCase,
  { brake }: RampRun,
  chopper_V: number,
  cycle_s: number,
): BrakeNeed {
  const lowering_W =
    given.load.curve === 'hoisting'
      ? Math.abs(given.load.torque_Nm) * speedOf(given, given.ramp.to_Hz)
      : null;
  const { energy_J } = brake;
  const peak_W = Math.max(brake.peak_W, lowering_W ?? 0);
  const most_ohm = peak_W > 0 ? chopper_V ** 2 / peak_W : null;
  const always =
    brake.time_s > cycle_s
      ? `; it brakes for ${formatSignificant(brake.time_s)} s, longer than the cycle of ${formatSignificant(cycle_s)} s: duty limited to 1`
      : '';
  return {
    peak_W,
    energy_J,
    average_W: energy_J / cycle_s,
    duty: Math.min(1, brake.time_s / cycle_s),
    most_ohm,
    lowering_W,
    sum:
      most_ohm === null
        ? 'No regenerated energy'
        : `(${formatSignificant(chopper_V)} V)² ÷ ${formatSignificant(peak_W)} W = ${formatSignificant(most_ohm)} Ω at most; ${formatSignificant(energy_J)} J ÷ ${formatSignificant(cycle_s)} s = ${formatSignificant(energy_J / cycle_s)} W on average${always}`,
  };
}

/** The stop as a resistor that takes everything would let it be: what comes back, whether it trips without one or not. */
const untripped = (given: RampCase): RampRun =>
  simulate({ ...given, drive: { ...given.drive, tripVolts: 1e6, regulated: true, chopper: undefined } });

/** A whole answer about one run-up and stop. */
export function rampAnswer(given: RampCase, { cycle_s = 60 } = {}): RampAnswer {
  const run = simulate(given);
  const top = speedOf(given, given.ramp.to_Hz);
  return {
    run,
    shortestUp: shortestUp(given),
    shortestDown: shortestDown(given),
    brake: brakeNeed(
      given,
      untripped(given),
      given.drive.chopper?.above_V ?? 0.95 * given.drive.tripVolts,
      cycle_s,
    ),
    turning_J: 0.5 * inertiaOf(given) * top ** 2,
  };
}
