import type { Lane } from '../../kit/lanes';
import type { TrendSample } from './use-trend';

/** What a trend can show: a live value with its unit. */
export type TrendSeries = Lane<TrendSample>;

const figure = (
  id: 'outputFrequency_Hz' | 'reference_Hz' | 'outputCurrent_A' | 'busVolts' | 'heatsink_C' | 'AI1' | 'AI2',
  name: string,
  unit: string,
): TrendSeries => ({ id, name, unit, of: ({ live }) => live[id] ?? null });

const figures: readonly TrendSeries[] = [
  figure('outputFrequency_Hz', 'Output', 'Hz'),
  figure('reference_Hz', 'Reference', 'Hz'),
  figure('outputCurrent_A', 'Current', 'A'),
  figure('busVolts', 'Bus', 'V'),
  figure('heatsink_C', 'Heatsink', '°C'),
  figure('AI1', 'Analog 1', ''),
  figure('AI2', 'Analog 2', ''),
];

/** At most this many at once. */
export const mostSeries = 8;

/** The figures of a drive, and each terminal as a bit. */
export const seriesOf = (terminals: readonly { id: string; mark: string }[]): TrendSeries[] => [
  ...figures,
  ...terminals.map(({ id, mark }): TrendSeries => ({
    id,
    name: mark,
    unit: 'bit',
    of: ({ live: { inputs } }) => (inputs?.[id] === undefined ? null : inputs[id] ? 1 : 0),
  })),
];
