import type { Parameter } from '../../equipment/catalogue';
import type { ConceptId } from '../../equipment/concepts';
import { limitsOf, meaningOf, type Rating } from '../../equipment/drive-words';
import type { RatedUnit, UnitSet } from './set';
import { isRampTime, isShareOfDrive, roundsDown } from './shares';

/** A figure on its way to another entry. */
export interface Converted {
  value: number;
  /** Null where nothing was computed. */
  sum: string | null;
}

const figure = (value: number): string => String(Number(value.toFixed(3)));

/** Amps behind a share of a drive. */
const ampsOf = (percent: number, { ratedAmps }: Rating): number => (percent / 100) * ratedAmps;
const percentOf = (amps: number, { ratedAmps }: Rating): number => (100 * amps) / ratedAmps;

/** The frequency that ramp times count to, Hz; undefined where the set does not say. */
export function rampReference_Hz({ control, values }: UnitSet): number | undefined {
  const chosen = meaningOf(control, values, 'ramp.counts-to');
  const to = chosen === 'base' || chosen === 'maximum' ? chosen : control.rampCountsTo;
  const hz = meaningOf(control, values, to === 'base' ? 'motor.frequency' : 'limit.maximum-frequency');
  return typeof hz === 'number' && hz > 0 ? hz : undefined;
}

/**
 * What a figure of one unit is on another, before it meets the steps of the entry.
 * @param to the unit it goes to, with what is known of its values: ramps count to one of them
 */
export function carriedFigure(
  value: number,
  from: { concept: ConceptId; set: UnitSet },
  to: { concept: ConceptId; set: UnitSet },
): Converted {
  const { rating: a } = from.set;
  const { rating: b } = to.set;
  const inPercent = isShareOfDrive(from.concept);
  const outPercent = isShareOfDrive(to.concept);
  if (inPercent && outPercent) {
    if (a.ratedAmps === b.ratedAmps) return { value, sum: null };
    const amps = ampsOf(value, a);
    const made = percentOf(amps, b);
    return {
      value: made,
      sum: `${figure(value)} % × ${a.ratedAmps} A = ${figure(amps)} A; ÷ ${b.ratedAmps} A = ${figure(made)} %`,
    };
  }
  if (inPercent) {
    const amps = ampsOf(value, a);
    return { value: amps, sum: `${figure(value)} % × ${a.ratedAmps} A = ${figure(amps)} A` };
  }
  if (outPercent) {
    const made = percentOf(value, b);
    return { value: made, sum: `100 × ${figure(value)} A ÷ ${b.ratedAmps} A = ${figure(made)} %` };
  }
  if (isRampTime(from.concept)) {
    const was = rampReference_Hz(from.set);
    const is = rampReference_Hz(to.set);
    if (was !== undefined && is !== undefined && was !== is) {
      const made = (value * is) / was;
      return {
        value: made,
        sum: `${figure(value)} s to ${figure(was)} Hz is ${figure(made)} s to ${figure(is)} Hz`,
      };
    }
  }
  return { value, sum: null };
}

/** A value brought to the range and the steps of a parameter. */
export interface Stepped {
  value: number;
  /** It was outside the range of the entry, which it met at this edge. */
  clampedAt: 'least' | 'most' | null;
  rounded: boolean;
}

/** To the steps and the range of an entry. */
export function steppedInto(p: Parameter, { rating }: RatedUnit, concept: ConceptId, value: number): Stepped {
  const { min, max } = limitsOf(p, rating);
  const steps = value / p.scale;
  const whole = roundsDown(concept) ? Math.floor(steps + 1e-9) : Math.round(steps);
  const made = Number((whole * p.scale).toFixed(6));
  const clampedAt = made < min ? 'least' : made > max ? 'most' : null;
  return {
    value: clampedAt === 'least' ? min : clampedAt === 'most' ? max : made,
    clampedAt,
    rounded: Math.abs(made - value) > 1e-9,
  };
}
