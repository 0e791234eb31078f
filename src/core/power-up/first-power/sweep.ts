import { formatSignificant } from '../../numerics/figures';

/** The reference stepped from nothing to all, and what came out. */
export interface Sweep {
  min_Hz: number;
  max_Hz: number;
  points: readonly { percent: number; hz: number }[];
}

/** One point of a reference sweep and whether it passes. */
export interface SweepRow {
  percent: number;
  expected_Hz: number;
  hz: number;
  off_Hz: number;
  passes: boolean;
}

/** Of the whole range (common practice, no source). */
const band = 0.01;

/** The output frequency that a reference stands for, Hz. */
export const expectedHz = ({ min_Hz, max_Hz }: Pick<Sweep, 'min_Hz' | 'max_Hz'>, percent: number): number =>
  min_Hz + ((max_Hz - min_Hz) * percent) / 100;

/** Does the output follow? @returns rows in order, the band in Hz, and the verdict over them */
export function judgeSweep(sweep: Sweep): {
  rows: SweepRow[];
  band_Hz: number;
  passes: boolean;
  text: string;
} {
  const band_Hz = Math.max(0.1, band * (sweep.max_Hz - sweep.min_Hz));
  const rows = [...sweep.points]
    .sort((a, b) => a.percent - b.percent)
    .map(({ percent, hz }): SweepRow => {
      const expected_Hz = expectedHz(sweep, percent);
      return {
        percent,
        expected_Hz,
        hz,
        off_Hz: hz - expected_Hz,
        passes: Math.abs(hz - expected_Hz) <= band_Hz + 1e-9,
      };
    });
  const ends = rows.some((r) => r.percent <= 5) && rows.some((r) => r.percent >= 95);
  const passes = rows.length >= 3 && ends && rows.every((r) => r.passes);
  const worst = [...rows].sort((a, b) => Math.abs(b.off_Hz) - Math.abs(a.off_Hz))[0];
  return {
    rows,
    band_Hz,
    passes,
    text: passes
      ? `Follows from zero to maximum within ${formatSignificant(band_Hz, 2)} Hz.`
      : rows.length < 3 || !ends
        ? 'At least three points, including zero and maximum.'
        : `At ${worst?.percent} % it is ${formatSignificant(Math.abs(worst?.off_Hz ?? 0), 2)} Hz off; ${formatSignificant(band_Hz, 2)} Hz allowed.`,
  };
}
