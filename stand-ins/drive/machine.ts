// Motor, load and bus: good enough for speed, current, bus volts and trips. Textbook physics, per unit of the motor.
import type { Plant } from './plant';

export interface SimulatedMachine {
  /** Electrical frequency of the shaft, Hz. */
  shaft_Hz: number;
  busVolts: number;
  current_A: number;
  /** Share of rated torque that the motor makes. */
  torque: number;
  heatsink_C: number;
  /** 0 cold, 1 trips. */
  overload: number;
}

export const atRest = (ambient_C: number): SimulatedMachine => ({
  shaft_Hz: 0,
  busVolts: 0,
  current_A: 0,
  torque: 0,
  heatsink_C: ambient_C,
  overload: 0,
});

export interface MachineBank {
  capacitance_F: number;
  bleeder_ohm: number;
  precharge_ohm: number;
}

/** What the firmware does to the machine in one step. */
export interface Drive {
  /** Output frequency, Hz; null: the bridge blocks and the motor coasts. */
  output_Hz: number | null;
  /** The relay that bridges the precharge resistor. */
  bypassed: boolean;
  chopper: { on: boolean; above_V: number; ohm: number };
  /** Current from which overload counts, A. */
  overload_A: number;
  /** What the drive is rated for: its own heat follows it. */
  rated_A: number;
}

/** No-load share of the rated current (common practice, no source). */
const noLoad = 0.4;
/** Bridge and motor lose about this share of what passes (common practice, no source). */
const lost = 0.04;
/** Peak of the rectified line: √2 × volts. */
const peakOf = ({ mains }: Plant): number => (mains.on ? Math.SQRT2 * mains.volts : 0);

/** Slip at rated torque, Hz. */
export const ratedSlip = ({ motor }: Plant): number => {
  const poles = 2 * Math.round((60 * motor.frequency_Hz) / motor.speed_rpm);
  return Math.max(0.3, motor.frequency_Hz - (motor.speed_rpm * poles) / 120);
};

/** Current for a torque, both as shares of rated. */
export const currentFor = (torque: number): number =>
  Math.sqrt(noLoad ** 2 + (1 - noLoad ** 2) * torque ** 2);

/**
 * Time after which a motor at this share of its set current trips: (I² − 1)·t is constant, 60 s at 150 %
 * (common practice, no source).
 */
export const overloadSeconds = (share: number): number =>
  share <= 1.02 ? Infinity : (60 * (1.5 ** 2 - 1)) / (share ** 2 - 1);

/** What line and rectifier have in the way of the bank, Ω; with a phase missing it is fed a third as often. */
const lineOhm = 0.4;
/** Below this a load no longer draws its power, V. */
const leastBus_V = 20;

/**
 * Bus volts after a step. Under the peak of the line the bank is fed through a resistance while a load
 * draws: C·dv/dt = (V − v)/R − P/v, the load's current held for the step. Above it the rectifier blocks
 * and the energy of the bank pays for all.
 */
function busAfter({
  busVolts,
  peak,
  feed_ohm,
  out_W,
  capacitance_F,
  dt_s,
}: {
  busVolts: number;
  peak: number;
  feed_ohm: number;
  out_W: number;
  capacitance_F: number;
  dt_s: number;
}): number {
  if (busVolts <= peak) {
    const rests = peak - (feed_ohm * out_W) / Math.max(leastBus_V, busVolts);
    return Math.max(0, rests + (busVolts - rests) * Math.exp(-dt_s / (feed_ohm * capacitance_F)));
  }
  const energy = Math.max(0, (capacitance_F * busVolts ** 2) / 2 - out_W * dt_s);
  // Drawn down to the peak it is fed again from there.
  return Math.max(peak, Math.sqrt((2 * energy) / capacitance_F));
}

/** One step of the physics. */
export function stepped(
  plant: Plant,
  bank: MachineBank,
  drive: Drive,
  before: SimulatedMachine,
  dt_s: number,
): SimulatedMachine {
  const { motor, load, hidden } = plant;
  const flux = drive.output_Hz !== null && motor.connected;
  const slip = flux ? (drive.output_Hz ?? 0) - before.shaft_Hz : 0;
  const torque = flux ? Math.max(-2.5, Math.min(2.5, slip / ratedSlip(plant))) : 0;
  const speed = before.shaft_Hz / motor.frequency_Hz;
  const drag = load.kind === 'quadratic' ? load.torque * speed * Math.abs(speed) : load.torque;
  // Friction holds a machine at rest; only an overhauling load turns it by itself.
  const holding = before.shaft_Hz === 0 && Math.abs(torque) <= Math.abs(drag) && drag >= 0;
  const gained = holding
    ? 0
    : ((torque - (before.shaft_Hz < 0 ? -Math.abs(drag) : drag)) * motor.frequency_Hz * dt_s) /
      load.inertia_s;
  const turned = before.shaft_Hz + gained;
  // A load that only resists brings the shaft to rest, not past it.
  const shaft_Hz = !flux && drag >= 0 && before.shaft_Hz > 0 && turned < 0 ? 0 : turned;

  const share = flux ? currentFor(torque) : 0;
  const shaft_W = torque * speed * motor.power_kW * 1000;
  const drawn_W = flux ? shaft_W + lost * motor.power_kW * 1000 * Math.max(0.2, share) : 0;
  const current_A = share * motor.ratedAmps * (motor.lost === null || !flux ? 1 : 1.7);

  const { busVolts } = before;
  const chopping =
    drive.chopper.on && busVolts > drive.chopper.above_V ? busVolts ** 2 / drive.chopper.ohm : 0;
  const out_W = drawn_W + chopping + busVolts ** 2 / bank.bleeder_ohm;
  const open = hidden.prechargeOpen && !drive.bypassed;
  const fed = busAfter({
    busVolts,
    peak: open ? 0 : peakOf(plant),
    feed_ohm: drive.bypassed ? lineOhm * (plant.mains.lost === null ? 1 : 3) : bank.precharge_ohm,
    out_W,
    capacitance_F: bank.capacitance_F,
    dt_s,
  });

  const loadShare = current_A / Math.max(0.1, drive.overload_A);
  const time = overloadSeconds(loadShare);
  const overload =
    time === Infinity ? Math.max(0, before.overload - dt_s / 120) : before.overload + dt_s / time;
  const rise = 35 * (current_A / drive.rated_A) ** 2 * (hidden.fanStuck ? 3 : 1);
  const heatsink_C = before.heatsink_C + ((plant.ambient_C + rise - before.heatsink_C) * dt_s) / 120;
  return { shaft_Hz, busVolts: fed, current_A, torque, heatsink_C, overload };
}
