import { usualInverter, waveCase, type Motor, type Three, type WaveCase } from './case';

/** What is known of a drive and its supply, from plates. */
export interface UnitWords {
  supply_V: number;
  phases: 1 | 3;
  supply_Hz: number;
  ratedAmps: number;
  power_kW: number;
  capacitance_F: number;
  prechargeOhm: number;
  /** A choke in the bus. */
  choke: boolean;
  /** Measured line to line, where it was. */
  measured_V?: Three;
}

/** A motor by its plate. */
export interface MotorWords {
  volts: number;
  amps: number;
  hz: number;
  cosPhi: number;
}

/** What the drive works on, and at what. */
export type Running =
  | { load: 'none'; f1: number }
  | { load: 'lamps'; f1: number; ohmPerLeg: number }
  /** `share` of the motor's own active current. */
  | { load: 'motor'; f1: number; share: number; motor: MotorWords };

/** A value that nobody gave, with the reason why it was taken. */
export interface Assumed {
  what: string;
  value: number;
  unit: string;
  why: string;
}

/** A motor as a winding behind the volts it makes while it turns: shares of its own impedance, from memory. */
const windingShare = { R: 0.04, L: 0.2 };
const carrier_Hz = 4000;
/** A six-pulse bridge under load, over line volts RMS. */
const loadedBridge = 3 / (Math.PI / Math.SQRT2);

/** The unit as a circuit. What no plate tells is assumed, and named. */
export function circuitOf(unit: UnitWords, running: Running): { given: WaveCase; assumed: Assumed[] } {
  const apparent_VA = unit.power_kW * 1250;
  const perUnit_ohm = unit.supply_V ** 2 / apparent_VA;
  const omega = 2 * Math.PI * unit.supply_Hz;
  const Ls = (0.01 * perUnit_ohm) / omega;
  const Rs = 0.003 * perUnit_ohm;
  const ESR = 6e-5 / unit.capacitance_F;
  const Ldc = unit.choke ? (0.03 * perUnit_ohm) / omega : 0;
  const assumed: Assumed[] = [
    {
      what: 'supply inductance',
      value: Ls * 1e6,
      unit: 'µH',
      why: '1 % of the unit’s own impedance: a usual plant supply',
    },
    { what: 'bank ESR', value: ESR * 1e3, unit: 'mΩ', why: '60 µs × 1/C, usual for good electrolytics' },
    ...(unit.choke
      ? [{ what: 'bus choke', value: Ldc * 1e3, unit: 'mH', why: '3 % of the unit’s own impedance' }]
      : []),
    { what: 'carrier', value: carrier_Hz / 1000, unit: 'kHz', why: 'the usual factory value' },
  ];
  const bus = unit.phases === 3 ? loadedBridge * unit.supply_V : 1.3 * unit.supply_V;
  const rated = running.load === 'motor' ? running.motor : { volts: unit.supply_V, hz: unit.supply_Hz };
  const out_V = rated.volts * Math.min(1, running.f1 / rated.hz);
  const m = Math.min(1.15, (out_V * Math.SQRT2) / Math.sqrt(3) / (bus / 2));
  const levels: Three = unit.measured_V ?? [unit.supply_V, unit.supply_V, unit.supply_V];
  const periods = Math.max(0.06, Math.min(0.4, 2 / running.f1));
  const long = Math.ceil(periods * unit.supply_Hz) / unit.supply_Hz;
  const given = waveCase({
    supply: {
      vll: unit.supply_V,
      f: unit.supply_Hz,
      phases: unit.phases,
      ...phasesOf(levels, unit.supply_V),
      Rs,
      Ls,
      openPhase: null,
    },
    link: { Ldc, Rdc: unit.choke ? 0.005 * perUnit_ohm : 0.001 * perUnit_ohm, Rpre: 0 },
    bank: { C: unit.capacitance_F, ESR, v0: running.load === 'none' ? Math.SQRT2 * unit.supply_V - 2 : bus },
    load: { kind: 'inverter' },
    inverter: { ...usualInverter, mode: 'svm', fc: carrier_Hz, f1: running.f1, m },
    window: [4 / unit.supply_Hz, 4 / unit.supply_Hz + long],
  });
  return { given: onLoad(given, running), assumed };
}

/** Line-to-neutral scales whose line-to-line volts are those measured: two sides and a third, as a triangle. */
function phasesOf([ab, bc, ca]: Three, nominal: number): { vscale: Three; phi_deg: Three } {
  // Neutral in the centroid: a supply without zero sequence.
  const x = (ab ** 2 + ca ** 2 - bc ** 2) / (2 * ab);
  const y = Math.sqrt(Math.max(0, ca ** 2 - x ** 2));
  const points = [
    [0, 0],
    [ab, 0],
    [x, y],
  ] as const;
  const cx = (ab + x) / 3;
  const cy = y / 3;
  const each = points.map(([px, py]) => ({
    r: (Math.hypot(px - cx, py - cy) * Math.sqrt(3)) / nominal,
    deg: (Math.atan2(py - cy, px - cx) * 180) / Math.PI,
  }));
  const turn = each[0]?.deg ?? 0;
  const at = (k: number) => each[k]?.r ?? 1;
  // The triangle is drawn with L2 to the right of L1: its angles run the other way round.
  const deg = (k: number) => -((((each[k]?.deg ?? 0) - turn + 540) % 360) - 180);
  return { vscale: [at(0), at(1), at(2)], phi_deg: [0, deg(1), deg(2)] };
}

function onLoad(given: WaveCase, running: Running): WaveCase {
  if (running.load === 'none') return { ...given, motor: { ...given.motor, R: 1e4, L: 0 } };
  if (running.load === 'lamps') return { ...given, motor: { ...given.motor, R: running.ohmPerLeg, L: 0 } };
  const { motor, share, f1 } = running;
  const phase_V = motor.volts / Math.sqrt(3);
  const own_ohm = phase_V / motor.amps;
  const R = windingShare.R * own_ohm;
  const L = (windingShare.L * own_ohm) / (2 * Math.PI * motor.hz);
  // The magnetising current stays; the active one is what the load asks for.
  const active = motor.amps * motor.cosPhi * share;
  const reactive = motor.amps * Math.sqrt(1 - motor.cosPhi ** 2);
  const V = phase_V * Math.min(1, f1 / motor.hz);
  const X = 2 * Math.PI * f1 * L;
  // E = V − (R + jX)(active − j·reactive).
  const re = V - (R * active + X * reactive);
  const im = -(X * active - R * reactive);
  return {
    ...given,
    motor: {
      ...given.motor,
      R,
      L,
      ...behind(Math.SQRT2 * re, Math.SQRT2 * im),
    },
  };
}

/** The volts a motor makes, from their parts along the inverter's reference and across it, peak. */
const behind = (re: number, im: number): Pick<Motor, 'emf' | 'emfLag_deg'> => ({
  emf: Math.hypot(re, im),
  emfLag_deg: (-Math.atan2(im, re) * 180) / Math.PI,
});

/** The same with another load: a share of what it draws; of a motor, of its active current, as it is magnetised all the same. */
export function scaledLoad(given: WaveCase, share: number): WaveCase {
  const { load, motor, inverter, bank } = given;
  if (load.kind === 'R') return { ...given, load: { kind: 'R', R: load.R / share } };
  if (load.kind === 'P') return { ...given, load: { ...load, P: load.P * share } };
  if (motor.emf === 0) return { ...given, motor: { ...motor, R: motor.R / share, L: motor.L / share } };
  const X = 2 * Math.PI * inverter.f1 * motor.L;
  const lag = (motor.emfLag_deg * Math.PI) / 180;
  const [re, im] = [motor.emf * Math.cos(lag), -motor.emf * Math.sin(lag)];
  const over = (inverter.m * bank.v0) / 2 - re;
  const active = (over * motor.R - im * X) / (motor.R ** 2 + X ** 2);
  return {
    ...given,
    motor: { ...motor, ...behind(re - motor.R * (share - 1) * active, im - X * (share - 1) * active) },
  };
}
