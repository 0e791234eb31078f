// The tests of one motor over the years.
import { formatSignificant } from '../../numerics/figures';
import { insulation, type InsulationTest } from '../insulation';
import type { Plate } from '../../equipment/plate';

/** What was tested together. */
export type TestedPart = 'motor' | 'cable' | 'motor-and-cable';
/** Against what insulation was tested. */
export type Between = 'earth' | 'cores';

/** An insulation test of an earlier job. */
export interface InsulationThen {
  jobId: string;
  /** ISO date and time. */
  at: string;
  of: TestedPart;
  between: Between;
  test: InsulationTest;
}

/** One test on the trend. `at`: ISO date and time. */
export interface TrendPoint {
  jobId: string;
  at: string;
  /** Of a motor brought to 40 °C, so that warm and cold days can be compared; of a cable as measured. */
  corrected_Mohm: number;
  verdict: 'pass' | 'fail' | 'doubtful';
}

/** Tests of one part in their order, and whether it is getting worse. */
export interface InsulationTrend {
  of: TestedPart;
  between: Between;
  points: TrendPoint[];
  minimum_Mohm: number;
  /** The newest against the one before it; null where there is nothing to compare. */
  falling: { text: string; sum: string } | null;
}

/** Half of the last figure and less is a fall worth a look (common practice, no source). */
const fallen = 0.5;

const fallOf = (points: readonly TrendPoint[], of: TestedPart): InsulationTrend['falling'] => {
  const [before, now] = points.slice(-2);
  if (before === undefined || now === undefined) return null;
  const share = now.corrected_Mohm / before.corrected_Mohm;
  return share > fallen
    ? null
    : {
        text: 'Insulation fell to half or less since the last test: dirt, moisture or ageing. Inspect it before it fails.',
        sum: `${formatSignificant(now.corrected_Mohm)} MΩ ÷ ${formatSignificant(before.corrected_Mohm)} MΩ = ${share.toFixed(2)}, both ${of === 'cable' ? 'as measured' : 'at 40 °C'}`,
      };
};

/** Trends by what was tested and between what, each in the order of time. */
export function trendsOf(tests: readonly InsulationThen[]): InsulationTrend[] {
  const keys = [...new Set(tests.map((t) => `${t.of} ${t.between}`))];
  return keys.flatMap((key): InsulationTrend[] => {
    const same = tests
      .filter((t) => `${t.of} ${t.between}` === key)
      .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
    const [first] = same;
    if (first === undefined) return [];
    const results = same.map((t) => ({ ...t, result: insulation({ ...t.test, of: t.of }) }));
    const points = results.map(({ jobId, at, result }) => ({
      jobId,
      at,
      corrected_Mohm: result.correctedTo40C_Mohm,
      verdict: result.verdict,
    }));
    return [
      {
        of: first.of,
        between: first.between,
        points,
        minimum_Mohm: Math.max(...results.map((r) => r.result.minimum_Mohm)),
        falling: fallOf(points, first.of),
      },
    ];
  });
}

/** What one motor is known by over its jobs. */
export interface KnownMotor {
  plate: Plate;
  serial?: string | undefined;
  /** The machine it drives. */
  assetId: string;
}

const plateKey = ({ power, volts, amps, hz, rpm }: Plate): string =>
  [power.value, power.unit, volts, amps, hz, rpm].join(' ');

/** The same motor: by its serial number where both have one, else on the same machine with the same plate. */
export const sameMotor = (a: KnownMotor, b: KnownMotor): boolean =>
  a.serial !== undefined && b.serial !== undefined
    ? a.serial === b.serial
    : a.assetId === b.assetId && plateKey(a.plate) === plateKey(b.plate);
