import { currentShare, inertiaOf, loadTorque, mostTorque, speedOf, type RampCase } from './model';

/** One moment of a run: time in s, current in A. */
export interface RampSample {
  t: number;
  /** Shaft, rpm. */
  rpm: number;
  torque_Nm: number;
  current: number;
  busVolts: number;
  brake_W: number;
  /** Energy that came back to the bus so far, J. */
  back_J: number;
}

/** Where a run ended by a trip, s from its beginning. */
export interface Trip {
  why: 'overcurrent' | 'overvoltage';
  t: number;
  /** While it ran up, or down. */
  while: 'up' | 'down';
}

/** A run-up and a stop, sample by sample, and where it tripped. */
export interface RampRun {
  samples: RampSample[];
  trip: Trip | null;
  /** When it stood again, s; null where it tripped or did not get there. */
  stoodAt_s: number | null;
  reachedAt_s: number | null;
  /** What came back: at most, in all, and for how long. */
  brake: { peak_W: number; energy_J: number; time_s: number };
}

/** A regulated drive keeps its bus below this share of the trip. */
const regulatedShare = 0.96;
/** Each part of a run in so many steps of its own: a long way up must not make the stop coarse. */
const steps = 1500;
const holdSteps = 100;
const kept = 240;
/** A part that does not end is given up after this many times its ramp; a regulated drive may stretch a stop far. */
const patience = { up: 6, down: 60 };

/** Share of the way after a share of the time: straight, with both ends rounded. */
function along(share: number, rounding: number): number {
  const r = Math.min(1, Math.max(0, rounding)) / 2;
  if (share <= 0) return 0;
  if (share >= 1) return 1;
  if (r === 0) return share;
  const slope = 1 / (1 - r);
  if (share < r) return (slope * share ** 2) / (2 * r);
  if (share > 1 - r) return 1 - (slope * (1 - share) ** 2) / (2 * r);
  return slope * (share - r / 2);
}

/** What a run is computed with, once for all its steps. */
interface Bounds {
  /** Shaft at speed, rad/s. */
  top: number;
  up_s: number;
  down_s: number;
  inertia: number;
  rated_W: number;
  /** The bank at its supply, and as full as a regulated drive lets it get, J. */
  floor_J: number;
  full_J: number;
}

function boundsOf(given: RampCase): Bounds {
  const { drive, ramp, motor } = given;
  const up_s = (ramp.up_s * ramp.to_Hz) / ramp.countsTo_Hz;
  const down_s = (ramp.down_s * ramp.to_Hz) / ramp.countsTo_Hz;
  const bank_J = (volts: number): number => 0.5 * drive.capacitance_F * volts ** 2;
  return {
    top: speedOf(given, ramp.to_Hz),
    up_s,
    down_s,
    inertia: inertiaOf(given),
    rated_W: motor.torque_Nm * speedOf(given, motor.hz),
    floor_J: bank_J(drive.busVolts),
    full_J: bank_J(regulatedShare * drive.tripVolts),
  };
}

/** What moves from step to step. */
interface State {
  omega: number;
  energy_J: number;
  /** How far the ramps have run, s; a regulated drive holds them back. */
  upTime: number;
  downTime: number;
  /** The speed that the way down begins at, rad/s. */
  from: number;
}

interface Step {
  next: State;
  torque_Nm: number;
  /** Asked for more torque than the current limit gives. */
  short: boolean;
  /** What comes back to the bus, and what the chopper takes, W. */
  back_W: number;
  chopped_W: number;
}

/** One explicit step: what the motor must give is J·dω/dt plus the load; what comes back goes into bank and resistor. */
function advance(given: RampCase, b: Bounds, state: State, up: boolean, dt: number): Step {
  const { drive, ramp, motor } = given;
  const { omega } = state;
  const upTime = state.upTime + (up ? dt : 0);
  const downTime = state.downTime + (up ? 0 : dt);
  const wanted = up
    ? b.top * along(b.up_s > 0 ? upTime / b.up_s : 1, ramp.rounding)
    : state.from * (1 - along(b.down_s > 0 ? downTime / b.down_s : 1, ramp.rounding));
  const pull = loadTorque(given, omega);
  const needed = (b.inertia * (wanted - omega)) / dt + pull;
  const most_Nm = mostTorque(given, omega);
  const within = Math.max(-most_Nm, Math.min(most_Nm, needed));
  const { chopper } = drive;
  const most_W = chopper === undefined ? 0 : chopper.above_V ** 2 / chopper.ohm;
  const loss_W = drive.losses * b.rated_W * currentShare(within / motor.torque_Nm);
  // A regulated drive brakes no harder than its bank and resistor can take.
  const room_W = (b.full_J - state.energy_J) / dt + most_W + loss_W;
  const eased = drive.regulated && !up && -within * omega > room_W;
  const torque_Nm = eased ? -Math.max(0, room_W) / omega : within;
  // At rest friction holds: it takes as much torque as is asked of it.
  const moves = omega > 0 || torque_Nm > pull || given.load.curve === 'hoisting';
  const after = moves ? Math.max(0, omega + ((torque_Nm - pull) / b.inertia) * dt) : omega;
  const back_W = Math.max(0, (-torque_Nm * (omega + after)) / 2 - loss_W);
  // On average the chopper holds the bank at its level, as far as its resistor can.
  const above_J =
    chopper === undefined
      ? 0
      : state.energy_J + back_W * dt - 0.5 * drive.capacitance_F * chopper.above_V ** 2;
  const chopped_W = Math.min(most_W, Math.max(0, above_J / dt));
  const lags = drive.regulated && up && after < wanted - 0.02 * b.top;
  return {
    next: {
      omega: after,
      energy_J: Math.max(b.floor_J, state.energy_J + (back_W - chopped_W) * dt),
      upTime: lags ? state.upTime : upTime,
      downTime: eased ? state.downTime : downTime,
      from: up ? after : state.from,
    },
    torque_Nm,
    short: Math.abs(needed) > most_Nm * 1.001,
    back_W,
    chopped_W,
  };
}

/** A run from standstill to speed and back; each part in equal steps. */
export function simulate(given: RampCase): RampRun {
  const { drive, ramp, motor } = given;
  const bounds = boundsOf(given);
  const { top } = bounds;
  const widths = { up: bounds.up_s / steps, hold: ramp.hold_s / holdSteps, down: bounds.down_s / steps };
  const most = { up: patience.up * steps, hold: holdSteps, down: patience.down * steps };
  const samples: RampSample[] = [];
  const brake = { peak_W: 0, energy_J: 0, time_s: 0 };
  let state: State = { omega: 0, energy_J: bounds.floor_J, upTime: 0, downTime: 0, from: 0 };
  let reachedAt_s: number | null = null;
  let part: keyof typeof widths = 'up';
  let inPart = 0;
  let t = 0;
  const every = Math.max(1, Math.floor((2 * steps) / kept));
  for (let i = 0; inPart <= most[part]; i += 1) {
    const dt = widths[part];
    const up = part !== 'down';
    const busVolts = Math.sqrt((2 * state.energy_J) / drive.capacitance_F);
    const step = advance(given, bounds, state, up, dt);
    state = step.next;
    brake.energy_J += step.back_W * dt;
    brake.time_s += step.back_W > 0 ? dt : 0;
    brake.peak_W = Math.max(brake.peak_W, step.back_W);
    const current = currentShare(step.torque_Nm / motor.torque_Nm);
    const why =
      step.short && !drive.regulated ? 'overcurrent' : busVolts > drive.tripVolts ? 'overvoltage' : null;
    if (i % every === 0 || why !== null || part === 'hold')
      samples.push({
        t,
        rpm: (state.omega * 60) / (2 * Math.PI),
        torque_Nm: step.torque_Nm,
        current,
        busVolts,
        brake_W: step.chopped_W,
        back_J: brake.energy_J,
      });
    if (why !== null)
      return { samples, trip: { why, t, while: up ? 'up' : 'down' }, stoodAt_s: null, reachedAt_s, brake };
    if (part === 'down' && state.omega <= 0.002 * top)
      return { samples, trip: null, stoodAt_s: t, reachedAt_s, brake };
    t += dt;
    inPart += 1;
    if (reachedAt_s === null && state.omega >= 0.995 * top) reachedAt_s = t;
    // The ramp runs to its end: what is left of it must not be asked for at once.
    if (part === 'up' && reachedAt_s !== null && state.upTime >= bounds.up_s - dt / 2) {
      [part, inPart] = [ramp.hold_s > 0 ? 'hold' : 'down', 0];
    } else if (part === 'hold' && inPart === holdSteps) [part, inPart] = ['down', 0];
  }
  return { samples, trip: null, stoodAt_s: null, reachedAt_s, brake };
}
