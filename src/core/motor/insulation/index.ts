// Machines by IEEE 43 (from memory): correction to 40 °C, minimum after one minute, polarization index. Cables by IEC 60364-6 (from memory).

/** An insulation test: readings over time at one winding temperature. */
export interface InsulationTest {
  /** A cable alone is judged by the rule of installations; with a motor on it the machine's rule holds. */
  of?: 'motor' | 'cable' | 'motor-and-cable' | undefined;
  ratedVolts: number;
  /** A figure after one minute must be among them. */
  readings: readonly { at_s: number; megohm: number }[];
  winding_C: number;
  construction?: 'random' | 'form' | undefined;
  material?: 'thermosetting' | 'thermoplastic' | undefined;
  kind?: 'modern' | 'before-1970' | undefined;
}

/** An insulation test brought to 40 °C and judged, with its source. */
export interface InsulationResult {
  correctedTo40C_Mohm: number;
  minimum_Mohm: number;
  polarizationIndex: number | null;
  polarizationNote?: string;
  verdict: 'pass' | 'fail' | 'doubtful';
  source: string;
  /** The correction as it is written on paper, and what is to be known of it. */
  sum: string;
  notes: string[];
}

const source = 'IEEE 43, from memory';
const cableSource = 'IEC 60364-6, from memory';
/** Least resistance of a cable, at 500 V up to 500 V nominal and at 1000 V above, MΩ. */
const cableMinimum_Mohm = 1;
/** A random-wound winding this dry: a low index says little of it (common practice, no source), MΩ. */
const dry_Mohm = 100;
/** A reading counts as the one-minute or the ten-minute figure this close to it, s. */
const near_s = 5;
/** Above this one-minute figure the index has no meaning, MΩ. */
const indexMeansNothing_Mohm = 5000;
/** Least index of class B and above. */
const leastIndex = 2;

/** From this voltage on the construction decides the minimum, V. */
export const constructionAsked_V = 1000;

/** Readings that could each be the one of this time: more than one, and somebody must say which. */
export const readingsNear = (
  readings: InsulationTest['readings'],
  at_s: number,
): InsulationTest['readings'] => readings.filter((r) => Math.abs(r.at_s - at_s) <= near_s);

/** The reading taken at about this many seconds, MΩ; undefined where none was. */
export const readingAt = (readings: InsulationTest['readings'], at_s: number): number | undefined =>
  readingsNear(readings, at_s)[0]?.megohm;

/** Factor that brings a reading to 40 °C, and the rule it comes from. */
export function correctionTo40C(
  winding_C: number,
  material: 'thermosetting' | 'thermoplastic',
): { factor: number; rule: string } {
  if (material === 'thermoplastic')
    return { factor: 0.5 ** ((40 - winding_C) / 10), rule: `0.5^((40 − ${winding_C}) ÷ 10)` };
  const slope = winding_C >= 40 ? 4230 : 1245;
  return {
    factor: Math.exp(-slope * (1 / (winding_C + 273) - 1 / 313)),
    rule: `e^(−${slope} × (1 ÷ ${winding_C + 273} − 1 ÷ 313))`,
  };
}

/** Least one-minute resistance at 40 °C, MΩ. */
export function minimumOf({ ratedVolts, construction, kind }: InsulationTest): number {
  if (kind === 'before-1970') return ratedVolts / 1000 + 1;
  return construction === 'form' && ratedVolts >= constructionAsked_V ? 100 : 5;
}

function indexOf(
  readings: InsulationTest['readings'],
  oneMinute: number,
): { index: number | null; note?: string } {
  const tenMinutes = readingAt(readings, 600);
  if (tenMinutes === undefined) return { index: null, note: 'No reading after ten minutes.' };
  if (oneMinute > indexMeansNothing_Mohm)
    return { index: null, note: 'Above 5 GΩ after one minute the index has no meaning.' };
  return oneMinute > 0
    ? { index: Number((tenMinutes / oneMinute).toFixed(2)) }
    : { index: null, note: 'The one-minute reading is zero.' };
}

/** A cable: one minimum, no correction; what its readings were before says more. */
function cableInsulation({ readings }: InsulationTest): InsulationResult {
  const oneMinute = readingAt(readings, 60) ?? 0;
  return {
    correctedTo40C_Mohm: oneMinute,
    minimum_Mohm: cableMinimum_Mohm,
    polarizationIndex: null,
    polarizationNote: 'A cable has no polarization index.',
    verdict: oneMinute < cableMinimum_Mohm ? 'fail' : 'pass',
    source: cableSource,
    sum: `${oneMinute} MΩ against ${cableMinimum_Mohm} MΩ, as measured`,
    notes: ['Compare with earlier readings of the same cable: the trend is more important than the minimum.'],
  };
}

/** @throws never; the one-minute figure is asked for by the schema and taken as zero where it is missing */
export function insulation(test: InsulationTest): InsulationResult {
  if (test.of === 'cable') return cableInsulation(test);
  const { readings, winding_C, material = 'thermosetting' } = test;
  const oneMinute = readingAt(readings, 60) ?? 0;
  const { factor, rule } = correctionTo40C(winding_C, material);
  const corrected = Number((oneMinute * factor).toPrecision(4));
  const minimum = minimumOf(test);
  const { index, note } = indexOf(readings, oneMinute);
  const outside = winding_C < 10 || winding_C > 85;
  const low = index !== null && index < leastIndex;
  const dry = test.construction !== 'form' && corrected >= dry_Mohm;
  return {
    correctedTo40C_Mohm: corrected,
    minimum_Mohm: minimum,
    polarizationIndex: index,
    ...(note === undefined ? {} : { polarizationNote: note }),
    verdict: corrected < minimum ? 'fail' : low || outside ? 'doubtful' : 'pass',
    source,
    sum: `${oneMinute} MΩ × ${rule} = ${corrected} MΩ at 40 °C`,
    notes: [
      ...(outside ? ['The correction is valid from 10 to 85 °C only: measure again in this range.'] : []),
      ...(low && dry ? ['On a small, dry, random-wound winding the index has little meaning.'] : []),
      ...(low ? ['Polarization index below 2: moisture or dirt. Dry and measure again.'] : []),
      ...(winding_C > 40 && material === 'thermoplastic'
        ? ['Halving per 10 °C favours a hot winding: use it for old insulation only.']
        : []),
    ],
  };
}
