/**
 * The numbers of the diagnosis model. None has a published source: they are common practice put
 * into figures, checked by simulation (see the sweep in checks/), and they only weigh evidence;
 * no drop of any device is fixed here.
 */
import type { FaultMode } from '../power-stage';

export const model = {
  /** How far a family's drop may lie from the typical one: make, age and temperature together, V. */
  family_V: 0.06,
  /** How far the slope n·Vt may lie from the typical one, as a fraction. */
  slope: 0.1,
  /** Scatter of one device against its sisters, V; heavy-tailed (Student, `deviceFreedom`). */
  device_V: 0.007,
  deviceFreedom: 4,
  /** Contact, reading and rounding of one figure, V. */
  reading_V: 0.0025,
  /** A figure written down wrong, or a lead on the wrong screw. */
  slip: 0.005,
  /** A slip may show anything in this range, V. */
  slipRange_V: 2,
  /** Overload shown though something conducts: a lead not quite on. */
  poorContact: 0.001,
  /** Softness of the display's ceiling, V. */
  ceiling_V: 0.03,
  /** How a part that became worse differs: about +100 mV at 1 mA. */
  degraded_V: 0.1,
  degradedSpread_V: 0.05,
  /** Leaks are tried at these resistances and fitted between them, Ω. */
  leaks_ohm: [120, 250, 450, 700, 1000, 1250, 1550, 1900],
  leakSpread: 0.25,
  /** Deviation from the sisters that a sound device should not show, V. */
  offSisters_V: 0.025,
} as const;

/** Relative frequency of each fault of one device on a bench of dead drives (common practice, no source). */
export const junctionPrior: Readonly<Record<FaultMode, number>> = {
  short: 0.02,
  open: 0.008,
  leaky: 0.004,
  degraded: 0.003,
};

/** The same for what is not a junction. */
export const otherPrior: Readonly<Record<string, number>> = {
  'bus.cap short': 0.012,
  'bus.cap leaky': 0.004,
  'bus.link open': 0.006,
  'bus.precharge open': 0.02,
  'bus.fuse open': 0.02,
  'bus.bleeder open': 0.006,
  'bus.bleeder short': 0.001,
};

export const soundPrior = 0.5;

/**
 * The bands a sound drop lies in, V (common practice, no source). They guide the eye; the
 * judgement compares sisters and solves the network.
 */
export const soundBand = {
  rectifier: [0.35, 0.6],
  freewheel: [0.3, 0.55],
  brake: [0.35, 0.65],
  precharge: [0.35, 0.65],
} as const;
