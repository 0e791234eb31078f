import { currentShare, inertiaOf, loadTorque, speedOf, type RampCase } from './model';

export interface Sample {
  t: number;
  /** Shaft, rpm. */
  rpm: number;
  torque_Nm: number;
  current: number;
  busVolts: number;
  brake_W: number;
}

export interface Trip {
  why: 'overcurrent' | 'overvoltage';
  t: number;
  /** While it ran up, or down. */
  while: 'up' | 'down';
}

export interface Run {
  samples: Sample[];
  trip: Trip | null;
  /** When it stood again, s; null where it tripped or did not get there. */
  stoodAt_s: number | null;
  reachedAt_s: number | null;
  brake: { peak_W: number; energy_J: number };
}

/** A regulated drive keeps its bus below this share of the trip. */
const regulatedShare = 0.96;
const steps = 3000;
const kept = 240;
/** A run that does not end is given up after this many times its ramps. */
const patience = 6;

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

/**
 * A run from standstill to speed and back. Explicit steps with the ramp as the speed wanted: what the motor must give
 * is J·dω/dt plus the load, limited by the drive; what comes back goes into bank and brake resistor.
 */
export function simulate(given: RampCase): Run {
  const { drive, ramp, motor } = given;
  const top = speedOf(given, ramp.to_Hz);
  const up_s = (ramp.up_s * ramp.to_Hz) / ramp.countsTo_Hz;
  const down_s = (ramp.down_s * ramp.to_Hz) / ramp.countsTo_Hz;
  const whole_s = up_s + ramp.hold_s + down_s;
  const dt = whole_s / steps;
  const every = Math.max(1, Math.floor(steps / kept));
  const inertia = inertiaOf(given);
  const most_Nm = drive.limit * motor.torque_Nm;
  const rated_W = (motor.torque_Nm * motor.rpm * 2 * Math.PI) / 60;
  const samples: Sample[] = [];
  const brake = { peak_W: 0, energy_J: 0 };
  let omega = 0;
  let energy_J = 0.5 * drive.capacitance_F * drive.busVolts ** 2;
  const floor_J = energy_J;
  const full_J = 0.5 * drive.capacitance_F * (regulatedShare * drive.tripVolts) ** 2;
  let upTime = 0;
  let downTime = 0;
  let trip: Trip | null = null;
  let reachedAt_s: number | null = null;
  let stoodAt_s: number | null = null;

  for (let i = 0; i <= steps * patience; i += 1) {
    const t = i * dt;
    const goingUp = reachedAt_s === null || t < reachedAt_s + ramp.hold_s;
    const busVolts = Math.sqrt((2 * energy_J) / drive.capacitance_F);
    if (goingUp) upTime += dt;
    else downTime += dt;
    const wanted = goingUp
      ? top * along(up_s > 0 ? upTime / up_s : 1, ramp.rounding)
      : top * (1 - along(down_s > 0 ? downTime / down_s : 1, ramp.rounding));
    const pull = loadTorque(given, omega);
    const needed = (inertia * (wanted - omega)) / dt + pull;
    const chopping =
      drive.chopper !== undefined && busVolts > drive.chopper.above_V ? busVolts ** 2 / drive.chopper.ohm : 0;
    const within = Math.max(-most_Nm, Math.min(most_Nm, needed));
    const loss_W = drive.losses * rated_W * currentShare(within / motor.torque_Nm);
    // A regulated drive brakes no harder than its bank and resistor can take.
    const room_W = (full_J - energy_J) / dt + chopping + loss_W;
    const torque =
      drive.regulated && !goingUp && -within * omega > room_W ? -Math.max(0, room_W) / omega : within;
    if (torque !== within) downTime -= dt;
    if (Math.abs(needed) > most_Nm * 1.001 && !drive.regulated && trip === null)
      trip = { why: 'overcurrent', t, while: goingUp ? 'up' : 'down' };
    // At rest friction holds: it takes as much torque as is asked of it.
    const moves = omega > 0 || torque > pull || given.load.curve === 'hoisting';
    const before = omega;
    if (moves) omega = Math.max(0, omega + ((torque - pull) / inertia) * dt);
    if (drive.regulated && goingUp && omega < wanted - 0.02 * top) upTime -= dt;

    // What the shaft gives back between the two speeds of the step, less the losses.
    const shaft_W = torque * ((before + omega) / 2);
    const back_W = Math.max(0, -shaft_W - loss_W);
    energy_J = Math.max(floor_J, energy_J + (back_W - chopping) * dt);
    brake.energy_J += back_W * dt;
    brake.peak_W = Math.max(brake.peak_W, back_W);
    if (busVolts > drive.tripVolts && trip === null)
      trip = { why: 'overvoltage', t, while: goingUp ? 'up' : 'down' };

    if (i % every === 0)
      samples.push({
        t,
        rpm: (omega * 60) / (2 * Math.PI),
        torque_Nm: torque,
        current: currentShare(torque / motor.torque_Nm),
        busVolts,
        brake_W: chopping,
      });
    if (trip !== null) break;
    if (reachedAt_s === null && omega >= 0.995 * top) reachedAt_s = t;
    if (!goingUp && omega <= 0.002 * top) {
      stoodAt_s = t;
      break;
    }
  }
  return { samples, trip, stoodAt_s, reachedAt_s, brake };
}
