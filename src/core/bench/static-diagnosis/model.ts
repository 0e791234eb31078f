/**
 * The numbers of the diagnosis model. None has a published source: they are common practice put
 * into figures, checked by simulation (see the sweep in checks/), and they only weigh evidence;
 * no drop of any device is fixed here.
 */
import type { FaultMode } from '../../equipment/power-stage';

/** Spreads and chances of the diagnosis (common practice, no source). */
export const model = {
  /** How far a family's drop may lie from the typical one: make, age and temperature together, V. */
  family_V: 0.06,
  /** The same where the temperature is known. */
  familyKnown_V: 0.035,
  /** How far the slope n·Vt may lie from the typical one, as a fraction. */
  slope: 0.1,
  slopeKnown: 0.05,
  /** All drops this far under (over) the usual mean a hot unit (a cold one or a flat meter), V. */
  hotBelow_V: 0.05,
  flatAbove_V: 0.065,
  driftDoubt_V: 0.008,
  /** … where no family is nearer to the usual than this, V. */
  allOff_V: 0.02,
  /** Scatter of one device against its peers in the other phases, V; heavy-tailed (Student, `deviceFreedom`). */
  device_V: 0.007,
  deviceFreedom: 6,
  /** Contact, reading and rounding of one figure, V. */
  reading_V: 0.0025,
  /** A figure written down wrong, or a lead on the wrong terminal. */
  slip: 0.002,
  /** A slip may show anything in this range, V. */
  slipRange_V: 2,
  /** Overload shown though something conducts: a lead not quite on. */
  poorContact: 0.001,
  /** Softness of the display's ceiling, V. */
  ceiling_V: 0.03,
  /** How a part that became worse differs: about +100 mV at 1 mA. */
  degraded_V: 0.1,
  degradedSpread_V: 0.05,
  /** Leaks are tried at these resistances and fitted between them, Ω at 1 mA and a 2 V ceiling. */
  leaks_ohm: [25, 60, 120, 250, 450, 700, 1000, 1250, 1550, 1900],
  /** Beside another fault, and beside another leak, at fewer of them. */
  leaksBeside_ohm: [120, 450, 1000, 1550],
  leaksTogether_ohm: [120, 1000, 1550],
  leakSpread: 0.25,
  leakSpreadBeside: 0.6,
  /** Spread of what a circumstance leaves open (bus volts, brake resistor), ln. */
  circumstanceSpread: 0.5,
  /** A decimal point in the wrong place. */
  decimal: 0.001,
  /** Deviation from its peers that a good device should not show, V. */
  offPeers_V: 0.025,
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
  'bus.link degraded': 0.001,
  'bus.precharge open': 0.02,
  'bus.precharge short': 0.001,
  'bus.precharge degraded': 0.001,
  'bus.fuse open': 0.02,
  'bus.fuse degraded': 0.0005,
  'bus.bleeder short': 0.0005,
  'bus.bleeder leaky': 0.001,
};

/** Shares of all units that come to a bench with no, one and two parts at fault. */
export const share = { sound: 0.45, one: 0.43, two: 0.12, three: 0.02 } as const;

/** How often the set-up is not what was assumed (common practice, no source). */
export const circumstancePrior = {
  'motor-connected': 0.01,
  'leads-swapped': 0.006,
  'bus-not-discharged': 0.008,
  'brake-resistor-connected': 0.012,
  'thyristor-front-end': 0.004,
  'wrong-stage': 0.002,
} as const;

/**
 * How many units have a part that nobody has stated, between rectifier and bank or before the inverter (common practice, no
 * source). Of a precharge resistor the size is not known either, Ω: it stands in every reading from a line to DC+.
 */
export const unstatedParts = { precharge: 0.3, link: 0.1, fuse: 0.1, prechargeOhms: [22, 47, 100] } as const;

/** What is likely where no verdict can be given at all (common practice, no source). */
export const suspected = {
  /** All of so many probes overload: the leads are swapped, rather than nothing touched. */
  allOverload: { from: 8, chance: 0.6 },
  /** All readings zero: few, many. */
  allZero: { few: 0.7, many: 0.97, from: 3 },
} as const;

/** Faults that come together more often than by chance, as factors (common practice, no source). */
export const together = {
  /** Upper and lower device of one leg. */
  leg: 5,
  /** A shorted bank or leg and the resistor or fuse that fed it. */
  consequence: 10,
  /** Two of the same side of one bridge: a supply surge. */
  side: 2,
} as const;

/**
 * The bands a sound drop lies in, V (common practice, no source). They guide the eye; the
 * judgement compares peers and solves the network.
 */
export const normalRange = {
  rectifier: [0.35, 0.6],
  freewheel: [0.3, 0.55],
  brake: [0.35, 0.65],
  precharge: [0.35, 0.65],
} as const;
