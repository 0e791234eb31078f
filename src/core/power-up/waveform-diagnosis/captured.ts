import { isClipped, type Capture, type ChannelRole } from '../capture';
import {
  lerp,
  coarser,
  meanOf,
  partAt,
  rmsAbout,
  rmsOfSum,
  spectrumOf,
  strongest,
  wholePeriods,
  type UniformSeries,
} from '../waveform';
import type { Measured } from './fit';
import { numberAt, valueAt } from '../../numerics/arrays';

/** Peaks of a noisy record: the share of samples beyond which is left out on either side. */
const strays = 0.002;

function spread(values: Float64Array): number {
  const sorted = Float64Array.from(values).sort();
  const quantile = (share: number) => sorted[Math.round(share * (sorted.length - 1))] ?? 0;
  return quantile(1 - strays) - quantile(strays);
}

const isLine = (role: ChannelRole): boolean => role === 'ia' || role === 'ib' || role === 'ic';
const isWinding = (role: ChannelRole): boolean => role === 'iu' || role === 'iv' || role === 'iw';

/** A picket of pulses is thinned by their mean before anything is read off a bus. */
const calmed = (series: UniformSeries, most: number): UniformSeries =>
  coarser(series, Math.max(1, Math.floor(series.values.length / most)));

/**
 * What a capture says in figures that can be judged.
 * @param f of the supply; @param f1 of the inverter, Hz
 */
export function measuredIn(capture: Capture, f: number, f1: number): Measured {
  const out: Record<string, number> = {};
  for (const channel of capture.channels) {
    const { role } = channel;
    if (role === 'other') continue;
    const clipped = isClipped(channel);
    const series = { t0: capture.t0, dt: capture.dt, values: channel.values };
    if (role === 'vdc') {
      const bus = wholePeriods(calmed(series, 8192), f);
      out['vdc_avg'] = meanOf(bus.values);
      if (clipped) continue;
      out['vdc_pp'] = spread(bus.values);
      for (const k of [1, 2, 4, 6]) out[`vdc_h${k}_pk`] = partAt(bus, k * f).peak;
      const ripple = strongest(spectrumOf(bus), f / 2, 24 * f);
      if (ripple !== null) out['vdc_ripple_hz'] = ripple;
    } else if (isLine(role) || isWinding(role)) {
      if (clipped) continue;
      const whole = wholePeriods(series, isLine(role) ? f : f1);
      out[`${role}_rms`] = rmsAbout(whole.values, 0);
      out[`${role}_dc`] = meanOf(whole.values);
      if (isLine(role))
        for (const k of [1, 2, 3]) out[`${role}_h${k}_rms`] = partAt(whole, k * f).peak / Math.SQRT2;
    } else {
      const whole = wholePeriods(series, f1);
      out[`${role}_h1_rms`] = partAt(whole, f1).peak / Math.SQRT2;
      if (!clipped) out[`${role}_rms`] = rmsAbout(whole.values, 0);
    }
  }
  const windings = capture.channels.filter((c) => isWinding(c.role) && !isClipped(c));
  if (new Set(windings.map((c) => c.role)).size === 3)
    out['i_sum_rms'] = rmsOfSum(windings.map((c) => c.values));
  return out;
}

const shown = (v: number): string => String(Number(v.toPrecision(3)));

/** Channels that do not look like what they are called: swapped columns, a probe's factor left out. @param line_V of the supply */
export function doubtsAbout({ channels }: Capture, line_V: number): string[] {
  return channels.flatMap(({ name, role, values }) => {
    if (role === 'other') return [];
    const mean = meanOf(values);
    const swing = rmsAbout(values, mean);
    const most = values.reduce((m, v) => Math.max(m, Math.abs(v)), 0);
    if (role === 'vdc') {
      if (mean > 0.5 * line_V && mean < 2.5 * line_V) return [];
      return [
        swing > Math.abs(mean)
          ? `“${name}” swings about ${shown(mean)} V: not a DC bus. Are two columns swapped?`
          : `“${name}” averages ${shown(mean)} V: a DC bus on ${line_V} V is about ${shown(1.35 * line_V)} V. Is the probe factor right?`,
      ];
    }
    if (role.startsWith('i'))
      return Math.abs(mean) > 5 * swing && Math.abs(mean) > 0.5 * line_V
        ? [`“${name}” is constant at ${shown(mean)}: not a line or motor current. Are two columns swapped?`]
        : [];
    return most < 0.3 * line_V
      ? [
          `“${name}” reaches only ${shown(most)} V: pulses should reach bus voltage. Is the probe factor right, or are two columns swapped?`,
        ]
      : [];
  });
}

/** Places looked at in a period when two pictures are laid on each other. */
const places = 256;

/**
 * By how much a capture is to be moved so that it lies on the computed picture, s: where the two go together best over
 * one period of `hz`.
 */
export function alignment(measured: UniformSeries, computed: UniformSeries, hz: number): number {
  const folded = (series: UniformSeries): Float64Array => {
    const whole = wholePeriods(series, hz);
    const mean = meanOf(whole.values);
    const out = new Float64Array(places);
    const count = new Float64Array(places);
    const per = 1 / hz;
    for (let k = 0; k < whole.values.length; k += 1) {
      const t = whole.t0 + k * whole.dt;
      const place = Math.floor((((t % per) + per) % per) * hz * places) % places;
      out[place] = valueAt(out, place) + valueAt(whole.values, k) - mean;
      count[place] = valueAt(count, place) + 1;
    }
    for (let k = 0; k < places; k += 1)
      if (valueAt(count, k) > 0) out[k] = valueAt(out, k) / valueAt(count, k);
    return fillFrom(out, count);
  };
  const a = folded(measured);
  const b = folded(computed);
  let best = 0;
  let most = -Infinity;
  for (let shift = 0; shift < places; shift += 1) {
    let sum = 0;
    for (let k = 0; k < places; k += 1) sum += valueAt(a, k) * valueAt(b, (k + shift) % places);
    if (sum > most) {
      most = sum;
      best = shift;
    }
  }
  const shifted = best > places / 2 ? best - places : best;
  return shifted / (places * hz);
}

/** Places no sample fell in, from their neighbours. */
function fillFrom(values: Float64Array, count: Float64Array): Float64Array {
  const known = Array.from(count.keys()).filter((k) => valueAt(count, k) > 0);
  if (known.length < 2) return values;
  const some = Float64Array.from(known, (k) => valueAt(values, k));
  return values.map((v, k) => {
    if (valueAt(count, k) > 0) return v;
    const after = known.findIndex((p) => p > k);
    if (after <= 0) return some[0] ?? 0;
    const from = numberAt(known, after - 1);
    return lerp(some, after - 1 + (k - from) / (numberAt(known, after) - from));
  });
}
