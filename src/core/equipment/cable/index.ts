// A cable between a drive and its motor: the fronts that run along it, and what the motor's winding stands.
// Limits of NEMA MG 1 parts 30 and 31 and of IEC 60034-18-41 are from memory; where nothing is named: common practice, no source.

/** Windings by what they were made for: a drive, or the line; an old one counts as made for the line. */
export const windings = ['for-drives', 'for-the-line'] as const;
/** What a winding was made for. */
export type Winding = (typeof windings)[number];

/** What may stand between a drive and its motor. */
export const outputFilters = ['none', 'choke', 'du-dt', 'sine'] as const;
/** What stands between a drive and its motor. */
export type OutputFilter = (typeof outputFilters)[number];

/** A front runs along a cable about half as fast as light, m/µs. */
export const frontSpeed_m_us = 150;
/** Fronts of today's transistors rise in about this time, µs. */
export const usualRise_us = 0.1;

/** Peaks that a winding stands at its terminals, V. */
export function peakLimit(winding: Winding, rated_V: number): { limit_V: number; source: string } {
  return winding === 'for-drives'
    ? {
        limit_V: Math.round(3.1 * rated_V),
        source:
          'NEMA MG 1 part 31, from memory: 3.1 × rated volts; IEC 60034-18-41 requires a test of its class',
      }
    : { limit_V: 1000, source: 'NEMA MG 1 part 30, from memory: 1000 V' };
}

/** From this length on the front is wholly reflected at the motor, m: v · t_r ÷ 2. */
export const criticalLength_m = (rise_us: number = usualRise_us): number => (frontSpeed_m_us * rise_us) / 2;

/** Frames above this power want an insulated bearing or a shaft ring, kW. */
const bearing_kW = 75;

/** How far a filter helps: the length up to which it is usual, m, and the share of the peak that is left. */
const helps: Readonly<Record<OutputFilter, { upTo_m: number; peakShare: number; words: string }>> = {
  none: { upTo_m: 0, peakShare: 1, words: 'nothing' },
  choke: { upTo_m: 100, peakShare: 0.85, words: 'an output choke' },
  'du-dt': { upTo_m: 150, peakShare: 0.7, words: 'a dV/dt filter' },
  sine: { upTo_m: Infinity, peakShare: 0.55, words: 'a sine filter' },
};

/** A filter in words. */
export const filterWords = (filter: OutputFilter): string => helps[filter].words;

/** What a cable does to the motor at its end. */
export interface CableJudgement {
  verdict: 'stands' | 'too-much';
  /** At the motor's terminals. */
  peak_V: number;
  limit_V: number;
  critical_m: number;
  text: string;
  sum: string;
  /** The least filter that would do, where what is fitted does not. */
  wants: OutputFilter | null;
  /** An insulated bearing or a shaft ring is wanted. */
  bearing: boolean;
}

/** A cable with the motor at its end. */
export interface MotorCable {
  length_m: number;
  winding: Winding;
  filter: OutputFilter;
  supply_V: number;
  motor: { volts: number; power_kW: number };
}

/** Peak at the motor with this filter, V: up to twice the bus, in proportion below the critical length. */
function peakWith(filter: OutputFilter, { length_m, supply_V }: MotorCable): number {
  const bus = Math.SQRT2 * supply_V;
  const reflected = Math.min(1, length_m / criticalLength_m());
  // What is left of the reflection; a sine filter leaves the sine alone.
  const swing = filter === 'sine' ? 0 : reflected * helps[filter].peakShare;
  return Math.round(bus * (1 + swing));
}

/** Does a motor stand the fronts at the end of its cable? */
export function judgeCable(cable: MotorCable): CableJudgement {
  const { length_m, winding, filter, supply_V, motor } = cable;
  const { limit_V, source } = peakLimit(winding, motor.volts);
  const peak_V = peakWith(filter, cable);
  const does = (f: OutputFilter): boolean =>
    peakWith(f, cable) <= limit_V && (f === 'none' || length_m <= helps[f].upTo_m);
  const wants = does(filter) ? null : (outputFilters.find(does) ?? 'sine');
  const critical_m = criticalLength_m();
  const bus = Math.round(Math.SQRT2 * supply_V);
  const made = winding === 'for-drives' ? 'rated for inverters' : 'for line supply, or old';
  return {
    verdict: wants === null ? 'stands' : 'too-much',
    peak_V,
    limit_V,
    critical_m,
    text:
      wants === null
        ? `A winding ${made} withstands the voltage peaks at the end of ${length_m} m${filter === 'none' ? '' : ` behind ${filterWords(filter)}`}.`
        : `${length_m} m of cable: up to ${peak_V} V at a winding ${made}. Fit ${filterWords(wants)}.`,
    sum: `critical length ${frontSpeed_m_us} m/µs × ${usualRise_us} µs ÷ 2 = ${critical_m} m; bus ${bus} V, peak ${peak_V} V of ${limit_V} V (${source})`,
    wants,
    bearing: motor.power_kW >= bearing_kW,
  };
}

/** What is said of bearings, where the frame is large. */
export const bearingWords =
  'Large motor frame on a drive: insulated non-drive-end bearing or shaft grounding ring (IEC 60034-25, from memory).';
