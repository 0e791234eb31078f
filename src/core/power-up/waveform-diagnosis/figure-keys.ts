import { channelRoleWords } from '../capture';
import type { Figures } from '../waveform';

/** What a figure is of: its tolerance depends on that. */
type Kind =
  | 'bus'
  | 'ripple'
  | 'ripple-part'
  | 'ripple-hz'
  | 'line-rms'
  | 'line-dc'
  | 'line-part'
  | 'out-rms'
  | 'out-dc'
  | 'out-volts'
  | 'out-sum';

const lines = ['ia', 'ib', 'ic'] as const;
const windings = ['iu', 'iv', 'iw'] as const;
const pairs = ['vuv', 'vvw', 'vwu'] as const;

const kinds: Readonly<Record<string, Kind>> = {
  vdc_avg: 'bus',
  vdc_pp: 'ripple',
  vdc_ripple_hz: 'ripple-hz',
  ...Object.fromEntries([1, 2, 4, 6].map((k) => [`vdc_h${k}_pk`, 'ripple-part' as const])),
  ...Object.fromEntries(
    lines.flatMap((i) => [
      [`${i}_rms`, 'line-rms' as const],
      [`${i}_dc`, 'line-dc' as const],
      [`${i}_h1_rms`, 'line-part' as const],
      [`${i}_h2_rms`, 'line-part' as const],
      [`${i}_h3_rms`, 'line-part' as const],
    ]),
  ),
  ...Object.fromEntries(
    windings.flatMap((i) => [
      [`${i}_rms`, 'out-rms' as const],
      [`${i}_dc`, 'out-dc' as const],
    ]),
  ),
  ...Object.fromEntries(
    pairs.flatMap((v) => [
      [`${v}_rms`, 'out-volts' as const],
      [`${v}_h1_rms`, 'out-volts' as const],
    ]),
  ),
  i_sum_rms: 'out-sum',
};

/** Figures that can be judged. */
export const judgedKeys: readonly string[] = Object.keys(kinds);
/** Is it a figure of the output side? */
export const isOutput = (key: string): boolean => kinds[key]?.startsWith('out') ?? false;

const mean = (list: readonly number[]): number => list.reduce((s, v) => s + v, 0) / Math.max(1, list.length);
const group = (figures: Figures, names: readonly string[]): number => {
  const found = names.flatMap((n) => figures[`${n}_rms`] ?? []);
  return found.length === 0 ? 0 : mean(found);
};

/** How much flows, by what was measured: at the input, at the output. */
export const flowOf = (figures: Figures): { line: number; out: number } => ({
  line: group(figures, lines),
  out: group(figures, windings),
});

/**
 * One standard deviation between what a sound method measures and what the circuit computes, whose supply impedance,
 * ESR and choke are only assumed. By common practice, no source.
 */
export function sigmaOf(key: string, measured: number, expected: Figures): number {
  const kind = kinds[key];
  const flow = flowOf(expected);
  const expectedHere = expected[key] ?? 0;
  const most = Math.max(Math.abs(measured), Math.abs(expectedHere));
  const bus = expected['vdc_avg'] ?? 500;
  switch (kind) {
    case 'bus':
      return 0.015 * bus;
    case 'ripple':
      return 0.15 * most + 0.003 * bus;
    case 'ripple-part': {
      const largest = Math.max(...[1, 2, 4, 6].map((k) => expected[`vdc_h${k}_pk`] ?? 0));
      return 0.15 * Math.max(most, largest) + 0.001 * bus;
    }
    case 'ripple-hz':
      // With hardly any ripple its frequency is chance.
      return (expected['vdc_pp'] ?? 0) > 0.006 * bus ? 12 : 1e3;
    case 'line-rms':
      // A dead line says much: what is hardly there is known more closely than what flows.
      return 0.1 * Math.max(flow.line / 3, most) + 0.05;
    case 'line-dc':
      return 0.06 * flow.line + 0.05;
    case 'line-part':
      return 0.12 * flow.line + 0.05;
    case 'out-rms':
      return 0.06 * Math.max(flow.out / 3, most) + 0.03;
    case 'out-dc':
      return 0.05 * flow.out + 0.03;
    case 'out-sum':
      return 0.05 * flow.out + 0.05;
    case 'out-volts':
      return 0.04 * most + 2;
    default:
      return Infinity;
  }
}

/** A figure in words. */
export function figureWords(key: string): string {
  const names: Readonly<Record<string, string>> = { ...channelRoleWords, vdc: 'bus' };
  const what: Readonly<Record<string, string>> = {
    avg: 'average',
    pp: 'ripple, peak to peak',
    ripple_hz: 'ripple frequency',
    rms: 'RMS',
    dc: 'DC part',
    h1_pk: 'ripple at the supply’s frequency',
    h2_pk: 'ripple at twice the supply’s frequency',
    h4_pk: 'ripple at four times the supply’s frequency',
    h6_pk: 'ripple at six times the supply’s frequency',
    h1_rms: 'fundamental',
    h2_rms: 'second harmonic',
    h3_rms: 'third harmonic',
  };
  if (key === 'i_sum_rms') return 'sum of the three output currents';
  const [name = '', ...rest] = key.split('_');
  return `${names[name] ?? name} ${what[rest.join('_')] ?? rest.join(' ')}`;
}

/** The unit of a waveform figure, from its key. */
export const figureUnit = (key: string): string =>
  key.endsWith('_hz') ? 'Hz' : key.startsWith('v') ? 'V' : 'A';
