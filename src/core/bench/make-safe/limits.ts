import type { Quantity } from './points';

/** Above `hands_V` no hand goes in; above `test_V` no diode or ohms test. A site may set less, never more. */
export interface Limits {
  hands_V: number;
  test_V: number;
}

/** Common practice, no source: 50 V DC for hands in dry places, 5 V for a meter's diode range. */
export const greatestLimits: Limits = { hands_V: 50, test_V: 5 };

/** AC above this comes from a source, whatever its size: the drive is not isolated, V. The limits above are for the DC of a bank. (Common practice, no source.) */
export const alive_Vac = 5;

/** What “all below” may mean where pairs are recorded together, V. */
export const together_V = 1;

/** After this long without a log entry by the person at the drive the proof lapses, s. */
export const absence_s = 30 * 60;

/** How long to wait where the label does not say it, min: the longest that is usual. (Common practice, no source.) */
export const unknownWait_min = 15;

/** A known source proves the meter near the voltage of the circuit: at least this share of it. A socket does for 400 V AC, a battery for nothing. (Common practice, no source.) */
const leastShare = 0.4;
/** Of a circuit whose voltage is not known, V. */
const leastUnknown_V = 100;
/** A rectifier under load makes this many volts of a volt of supply: 3·√2 ÷ π. */
const meanOfRectifier = 1.35;

/**
 * What a meter must show at least on a known source before it proves a circuit of this supply, V.
 * @param supply_V line to line; null where it is not known
 */
export const leastKnown_V = (quantity: Quantity, supply_V: number | null): number =>
  supply_V === null
    ? leastUnknown_V
    : Math.ceil(leastShare * supply_V * (quantity === 'dc' ? meanOfRectifier : 1));
