import { formatSignificant } from '../../numerics/figures';

/** Rated currents of fuse links, A: the series of IEC 60269-1, from memory. */
const ratings_A = [
  2, 4, 6, 10, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 500, 630, 800, 1000, 1250,
] as const;

/** Of a drive at its rated output: power factor of the motor, efficiency. Common practice, no source. */
const motorPowerFactor = 0.85;
const efficiency = 0.96;
/** True power factor of a rectifier onto a capacitor bank without a choke: the worst usual case. Common practice, no source. */
const linePowerFactor = { 1: 0.6, 3: 0.65 } as const;

/** What a line fuse would be where the maker's table is not at hand. */
export interface LineFuse {
  /** Line current at the rated output, A. */
  line_A: number;
  /** The next larger fuse link, A; null: larger than the series. */
  fuse_A: number | null;
  sum: string;
}

/**
 * An estimate of line current and fuse from the rated output current: the power that comes out goes in, at the power factor of a
 * rectifier without a choke. It replaces no table of a maker.
 * @param ratedAmps output current, A, above 0
 * @param phases of the supply
 */
export function lineFuseOf(ratedAmps: number, phases: 1 | 3): LineFuse {
  if (!(ratedAmps > 0)) throw new RangeError('a rated output current is above 0 A');
  const factor = linePowerFactor[phases];
  const perOutput = (phases === 1 ? Math.sqrt(3) : 1) * (motorPowerFactor / (efficiency * factor));
  const line_A = ratedAmps * perOutput;
  return {
    line_A,
    fuse_A: ratings_A.find((rating) => rating >= line_A) ?? null,
    sum: `${formatSignificant(ratedAmps)} A${phases === 1 ? ' × √3' : ''} × ${motorPowerFactor} / (${efficiency} × ${factor}) = ${formatSignificant(line_A)} A in the line, without a choke`,
  };
}
