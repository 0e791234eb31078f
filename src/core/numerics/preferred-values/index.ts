// IEC 60063 (from memory): E3 to E24 as printed there, E48 to E192 as rounded powers of ten.

import { roundSignificant } from '../figures';

const e24 = [
  1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8,
  7.5, 8.2, 9.1,
];
const every = (n: number): number[] => e24.filter((_, i) => i % n === 0);

/** IEC 60063 keeps one value of E192 beside the rounded power: 9.20 where the formula gives 9.19. */
const computed = (count: number): number[] =>
  Array.from({ length: count }, (_, i) => {
    const value = Number((10 ** (i / count)).toFixed(2));
    return value === 9.19 ? 9.2 : value;
  });

/** Series of preferred values (IEC 60063). */
export const seriesNames = ['E3', 'E6', 'E12', 'E24', 'E48', 'E96', 'E192'] as const;
/** A series of preferred values. */
export type SeriesName = (typeof seriesNames)[number];

/** The values of a decade, from 1 to below 10. */
export const series: Readonly<Record<SeriesName, readonly number[]>> = {
  E3: every(8),
  E6: every(4),
  E12: every(2),
  E24: e24,
  E48: computed(48),
  E96: computed(96),
  E192: computed(192),
};

/** What potentiometers are sold in beside E3 (common practice, no source). */
const oneTwoFive = [1, 2, 5];

/** Every value of a list of decade values between two figures, both counted in. */
function within(decade: readonly number[], least: number, most: number): number[] {
  if (!(least > 0) || most < least) return [];
  const found: number[] = [];
  for (let power = Math.floor(Math.log10(least)) - 1; power <= Math.log10(most) + 1; power += 1)
    for (const d of decade) {
      const value = roundSignificant(d * 10 ** power, 6);
      if (value >= least && value <= most) found.push(value);
    }
  return [...new Set(found)].sort((a, b) => a - b);
}

/** The largest value of a series that is not above a figure, e.g. the ohms a resistor may have at most. */
export const notAbove = (name: SeriesName, most: number): number | null =>
  within(series[name], most / 10, most).at(-1) ?? null;

/** Potentiometers that are sold inside a window, ohms, with the series each belongs to. */
export const potentiometers = (least_ohm: number, most_ohm: number): { ohm: number; sold: string }[] => [
  ...within(series.E3, least_ohm, most_ohm).map((ohm) => ({ ohm, sold: '1–2.2–4.7 series' })),
  ...within(oneTwoFive, least_ohm, most_ohm).map((ohm) => ({ ohm, sold: '1–2–5 series' })),
];

const kilohm = (ohm: number): string => `${roundSignificant(ohm / 1000, 4)} kΩ`;

/** Why a potentiometer does not do for an input, with the nearest one that is sold; null: it does. */
export function potentiometerFault(
  ohm: number,
  [least_ohm, most_ohm]: readonly [number, number],
): string | null {
  if (ohm >= least_ohm && ohm <= most_ohm) return null;
  const [nearest] = potentiometers(least_ohm, most_ohm).sort(
    (a, b) => Math.abs(Math.log(a.ohm / ohm)) - Math.abs(Math.log(b.ohm / ohm)),
  );
  const instead =
    nearest === undefined
      ? 'no standard value in this range'
      : `nearest standard value: ${kilohm(nearest.ohm)}`;
  return `${kilohm(ohm)} is outside ${kilohm(least_ohm)} to ${kilohm(most_ohm)}, as allowed by the type: ${instead}.`;
}
