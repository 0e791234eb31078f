import type { WaveCase } from './case';
import { samplesPerPeriod } from './timing';
import {
  coarser,
  meanOf,
  oneOf,
  partAt,
  rmsAbout,
  spectrumOf,
  strongest,
  wholePeriods,
  type UniformSeries,
} from './spectrum';
import type { NetworkRun } from './whole';
import { valueAt } from '../../numerics/arrays';

/** Flat, in V, A, Hz and degrees; the names are those of docs/contracts/waveform.md. */
export type Figures = Record<string, number>;

const lineKeys = ['ia', 'ib', 'ic'] as const;
const pairKeys = ['vuv', 'vvw', 'vwu'] as const;
const windingKeys = ['iu', 'iv', 'iw'] as const;
/** A line carries where its current is more than this share of its peak. */
const carries = 0.02;
/** In harmonics of the supply. */
const highestRipple = 24;

/** What one line current is like, over whole periods of the supply. */
function lineFigures(name: string, series: UniformSeries, f: number, all: NetworkRun): Figures {
  const whole = wholePeriods(series, f);
  const peak = Math.max(Math.abs(all.sums.least[name] ?? 0), Math.abs(all.sums.most[name] ?? 0));
  const rms = Math.sqrt(all.sums.square[name] ?? 0);
  const dc = all.sums.mean[name] ?? 0;
  let carrying = 0;
  for (const v of whole.values) if (Math.abs(v) > carries * peak) carrying += 1;
  const period = oneOf(whole, samplesPerPeriod);
  const harmonic = (k: number) => partAt(period, k * f).peak / Math.SQRT2;
  const h1 = harmonic(1);
  const about = rmsAbout(whole.values, 0);
  const mean = meanOf(whole.values);
  const rest = Math.max(0, about ** 2 - mean ** 2 - h1 ** 2);
  return {
    [`${name}_rms`]: rms,
    [`${name}_dc`]: dc,
    [`${name}_pk`]: peak,
    [`${name}_crest`]: rms > 0 ? peak / rms : 0,
    [`${name}_cond_deg`]: peak > 0 ? (180 * carrying) / Math.max(1, whole.values.length) : 0,
    [`${name}_thd`]: h1 > 1e-9 ? Math.sqrt(rest) / h1 : 0,
    [`${name}_h1_rms`]: h1,
    ...Object.fromEntries([2, 3, 5, 7].map((k) => [`${name}_h${k}_rms`, harmonic(k)])),
  };
}

/** Everything that is said of a run in figures. */
export function figuresOf(given: WaveCase, run: NetworkRun): Figures {
  const { f, phases } = given.supply;
  const { sums, samples } = run;
  const dt = run.t.length > 1 ? valueAt(run.t, 1) - valueAt(run.t, 0) : 1;
  // The last sample is the window's end, which belongs to the next period.
  const series = (values: Float64Array | undefined): UniformSeries => ({
    t0: run.t[0] ?? 0,
    dt,
    values: (values ?? new Float64Array(0)).subarray(0, -1),
  });
  const bus = wholePeriods(series(samples.vdc), f);
  const busPeriod = oneOf(bus, samplesPerPeriod);
  const busPart = (k: number) => partAt(busPeriod, k * f).peak;
  const lines = phases === 1 ? lineKeys.slice(0, 2) : lineKeys;
  const rms = lines.map((k) => Math.sqrt(sums.square[k] ?? 0));
  const mean = rms.reduce((s, v) => s + v, 0) / rms.length;
  const out: Figures = {
    vdc_avg: sums.mean['vdc'] ?? 0,
    vdc_pp: (sums.most['vdc'] ?? 0) - (sums.least['vdc'] ?? 0),
    vdc_min: sums.least['vdc'] ?? 0,
    vdc_max: sums.most['vdc'] ?? 0,
    vdc_ripple_hz:
      Math.round(1e6 * (strongest(spectrumOf(coarser(bus, 4)), f / 2, highestRipple * f) ?? 0)) / 1e6,
    ...Object.fromEntries([1, 2, 4, 6, 12].map((k) => [`vdc_h${k}_pk`, busPart(k)])),
  };
  for (const key of lines) Object.assign(out, lineFigures(key, series(samples[key]), f, run));
  out['i_unbalance'] = mean > 1e-9 ? Math.max(...rms.map((v) => Math.abs(v - mean))) / mean : 0;
  if (given.load.kind !== 'inverter') return out;
  const h1 = (key: string) => Math.SQRT2 * Math.hypot(sums.sin1[key] ?? 0, sums.cos1[key] ?? 0);
  for (const key of pairKeys) {
    out[`${key}_rms`] = Math.sqrt(sums.square[key] ?? 0);
    out[`${key}_h1_rms`] = h1(key);
  }
  for (const key of windingKeys) {
    out[`${key}_rms`] = Math.sqrt(sums.square[key] ?? 0);
    out[`${key}_h1_rms`] = h1(key);
    out[`${key}_dc`] = sums.mean[key] ?? 0;
  }
  out['i_sum_rms'] = rmsOfSum(windingKeys.flatMap((key) => samples[key] ?? []));
  return out;
}

/** RMS of currents in one clamp: of all three outputs, what goes to earth. */
export function rmsOfSum(currents: readonly Float64Array[]): number {
  const [first] = currents;
  return first === undefined
    ? 0
    : rmsAbout(
        first.map((_, k) => currents.reduce((sum, i) => sum + valueAt(i, k), 0)),
        0,
      );
}
