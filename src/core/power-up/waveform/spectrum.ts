import FFT from 'fft.js';
import { valueAt } from '../../numerics/arrays';

/** Samples at even times. */
export interface UniformSeries {
  t0: number;
  /** Time between two samples, s. */
  dt: number;
  values: Float64Array;
}

/** One harmonic of a base frequency, as cosine and sine parts of its peak. */
export interface Harmonic {
  cos: number;
  sin: number;
  peak: number;
}

/** The last whole periods of `hz` in a series; all of it where not one fits. */
export function wholePeriods({ t0, dt, values }: UniformSeries, hz: number): UniformSeries {
  const per = 1 / (hz * dt);
  const periods = Math.floor((values.length + 0.5) / per);
  if (periods < 1) return { t0, dt, values };
  const from = Math.max(0, values.length - Math.round(periods * per));
  return { t0: t0 + from * dt, dt, values: values.subarray(from) };
}

/** A part of a series at a frequency, best over whole periods of it. */
export function partAt({ t0, dt, values }: UniformSeries, hz: number): Harmonic {
  const step = 2 * Math.PI * hz * dt;
  const [cosStep, sinStep] = [Math.cos(step), Math.sin(step)];
  let [c, s] = [Math.cos(2 * Math.PI * hz * t0), Math.sin(2 * Math.PI * hz * t0)];
  const mean = meanOf(values);
  let [cos, sin] = [0, 0];
  for (let k = 0; k < values.length; k += 1) {
    const v = valueAt(values, k) - mean;
    cos += v * c;
    sin += v * s;
    const next = c * cosStep - s * sinStep;
    s = s * cosStep + c * sinStep;
    c = next;
  }
  const half = values.length / 2;
  return { cos: cos / half, sin: sin / half, peak: Math.hypot(cos, sin) / half };
}

/** The mean of evenly spaced values; 0 of none. */
export function meanOf(values: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < values.length; k += 1) sum += valueAt(values, k);
  return sum / Math.max(1, values.length);
}

/** RMS of what swings about a middle. */
export function rmsAbout(values: Float64Array, middle: number): number {
  let sum = 0;
  for (let k = 0; k < values.length; k += 1) sum += (valueAt(values, k) - middle) ** 2;
  return Math.sqrt(sum / Math.max(1, values.length));
}

/** The value at a place between two samples. */
export function lerp(values: Float64Array, at: number): number {
  const k = Math.max(0, Math.min(values.length - 2, Math.floor(at)));
  const a = values[k] ?? 0;
  return a + (at - k) * ((values[k + 1] ?? a) - a);
}

/** A series of whole periods, each of the same number of samples, as their mean: harmonics stay, and cost one period. */
export function oneOf({ t0, dt, values }: UniformSeries, perPeriod: number): UniformSeries {
  const periods = Math.floor(values.length / perPeriod);
  if (periods < 2) return { t0, dt, values };
  const out = new Float64Array(perPeriod);
  for (let k = 0; k < periods * perPeriod; k += 1)
    out[k % perPeriod] = valueAt(out, k % perPeriod) + valueAt(values, k) / periods;
  return { t0, dt, values: out };
}

/** Each so many samples as their mean. */
export function coarser({ t0, dt, values }: UniformSeries, by: number): UniformSeries {
  const out = new Float64Array(Math.floor(values.length / by));
  for (let i = 0; i < out.length; i += 1) {
    let sum = 0;
    for (let k = 0; k < by; k += 1) sum += valueAt(values, i * by + k);
    out[i] = sum / by;
  }
  return { t0: t0 + ((by - 1) / 2) * dt, dt: dt * by, values: out };
}

/** A spectrum of peaks. */
export interface Spectrum {
  /** Hz between two lines. */
  step: number;
  /** Peaks, line by line from 0 Hz. */
  peaks: Float64Array;
}

const transforms = new Map<number, FFT>();

/** The tables of a size are made once. */
function transformOf(size: number): FFT {
  const kept = transforms.get(size) ?? new FFT(size);
  transforms.set(size, kept);
  return kept;
}

/**
 * All lines of a series, by FFT of a power of two of samples laid over it.
 * @param window `flat` for whole periods; `hann` where the ends do not meet: a line then spreads to its neighbours
 */
export function spectrumOf({ dt, values }: UniformSeries, window: 'flat' | 'hann' = 'flat'): Spectrum {
  const size = 2 ** Math.max(4, Math.ceil(Math.log2(Math.max(2, values.length))));
  const mean = meanOf(values);
  const data = new Float64Array(size);
  for (let k = 0; k < size; k += 1) {
    const weight = window === 'hann' ? 1 - Math.cos((2 * Math.PI * k) / size) : 1;
    data[k] = (lerp(values, (k * values.length) / size) - mean) * weight;
  }
  const fft = transformOf(size);
  const out = fft.createComplexArray();
  fft.realTransform(out, data);
  const peaks = new Float64Array(size / 2);
  for (let k = 1; k < size / 2; k += 1)
    peaks[k] = (2 * Math.hypot(out[2 * k] ?? 0, out[2 * k + 1] ?? 0)) / size;
  peaks[0] = Math.abs(mean);
  return { step: 1 / (values.length * dt), peaks };
}

/** The strongest line between two frequencies, Hz; null where nothing stands out of nothing. */
export function strongest({ step, peaks }: Spectrum, from_Hz: number, to_Hz: number): number | null {
  let best = 0;
  for (let k = Math.max(1, Math.ceil(from_Hz / step)); k * step <= to_Hz && k < peaks.length; k += 1)
    if (valueAt(peaks, k) > valueAt(peaks, best === 0 ? k : best) || best === 0) best = k;
  return best === 0 || valueAt(peaks, best) < 1e-9 ? null : best * step;
}
