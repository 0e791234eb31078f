import { BadCapture, type Capture, type Channel } from './capture';
import { valueAt } from '../../numerics/arrays';

/** One channel as it was recorded: its own times, gaps as NaN. */
export interface RawChannel extends Omit<Channel, 'values'> {
  times: Float64Array;
  values: Float64Array;
}

/** More of a channel missing than this is no record. */
const mostMissing = 0.05;
/** A level that is held for this share of a record, at its end, is a channel driven out of its range. */
const heldShare = 0.004;
const mostSamples = 5_000_000;

const percent = (share: number): string => `${(100 * share).toFixed(share < 0.001 ? 2 : 1)} %`;

/** Fills gaps in a straight line. @returns how many samples were missing */
function fillGaps(values: Float64Array): number {
  let missing = 0;
  let last = -1;
  for (let k = 0; k < values.length; k += 1) {
    if (!Number.isFinite(values[k])) {
      missing += 1;
      continue;
    }
    if (last < k - 1) {
      const to = valueAt(values, k);
      const from = last < 0 ? to : valueAt(values, last);
      for (let j = last + 1; j < k; j += 1) values[j] = from + ((to - from) * (j - last)) / (k - last);
    }
    last = k;
  }
  if (last >= 0) values.fill(valueAt(values, last), last + 1);
  return missing;
}

/** The share of samples that stand at the highest or lowest value, in runs of three or more. */
export function clippedShare(values: Float64Array): number {
  let [low, high] = [Infinity, -Infinity];
  for (const v of values) {
    if (v < low) low = v;
    if (v > high) high = v;
  }
  if (!(high > low)) return 0;
  const near = (high - low) * 1e-6;
  let held = 0;
  let run = 0;
  for (let k = 0; k <= values.length; k += 1) {
    const v = values[k];
    if (v !== undefined && (high - v <= near || v - low <= near)) run += 1;
    else {
      if (run >= 3) held += run;
      run = 0;
    }
  }
  return held / values.length;
}

/** Evenly spaced, a record may have so many times its own samples: a scope drops some, it does not drop most. */
const mostStretch = 20;

/** A square picture (PWM) stands at its ends by nature: nearly always. */
const squareShare = 0.8;

/** Median time between samples, of a thousand pairs spread over the record. */
function usualStep(times: Float64Array): number {
  const every = Math.max(1, Math.floor((times.length - 1) / 1000));
  const steps: number[] = [];
  for (let k = 1; k < times.length; k += every) steps.push(valueAt(times, k) - valueAt(times, k - 1));
  steps.sort((a, b) => a - b);
  return steps[Math.floor(steps.length / 2)] ?? NaN;
}

/**
 * Channels, each with its own times, on one even time base: the finest of them, over the time all were recorded.
 * @throws BadCapture where times run backwards, too much is missing, or the channels never overlap
 */
export function evenCapture(raw: readonly RawChannel[]): Capture {
  const notes: string[] = [];
  if (raw.length === 0) throw new BadCapture('No channel chosen: assign at least one column.');
  for (const { name, times, values } of raw) {
    if (times.length < 16)
      throw new BadCapture(`“${name}” has ${times.length} samples; at least 16 are needed.`);
    if (times.length > mostSamples)
      throw new BadCapture(`“${name}” has more than ${mostSamples} samples: save a shorter section.`);
    for (let k = 1; k < times.length; k += 1)
      if (!(valueAt(times, k) > valueAt(times, k - 1)))
        throw new BadCapture(
          `The times of “${name}” do not go up at sample ${k + 1}: is another column the time?`,
        );
    const missing = fillGaps(values);
    const share = missing / values.length;
    if (share > mostMissing)
      throw new BadCapture(
        `“${name}” lacks ${percent(share)} of its samples: too many to evaluate. Record again.`,
      );
    if (missing > 0) notes.push(`${name}: ${missing} missing samples were interpolated (${percent(share)}).`);
    const held = clippedShare(values);
    if (held > heldShare && held < squareShare)
      notes.push(
        `${name}: ${percent(held)} of its samples are at the range limit. The channel was overdriven; peaks and RMS are not evaluated. Set a larger range and record again.`,
      );
  }
  const steps = raw.map((c) => usualStep(c.times));
  const dt = Math.min(...steps);
  const t0 = Math.max(...raw.map((c) => valueAt(c.times, 0)));
  const end = Math.min(...raw.map((c) => valueAt(c.times, c.times.length - 1)));
  if (!(end - t0 > 15 * dt))
    throw new BadCapture('The channels were not recorded at the same time: import them one by one.');
  if (Math.max(...steps) > 1.01 * dt)
    notes.push('The channels have two time bases: all were resampled to the finer one.');
  const count = Math.floor((end - t0) / dt + 1e-6) + 1;
  // One late stamp would stretch forty samples to millions: judged before anything is made for them.
  const longest = Math.max(...raw.map((c) => c.times.length));
  if (count > mostSamples || count > mostStretch * longest)
    throw new BadCapture('Gap in the time column: save the section before or after the gap.');
  const met = { uneven: false };
  const channels = raw.map(({ times, values, ...rest }): Channel => {
    const out = new Float64Array(count);
    let k = 0;
    for (let i = 0; i < count; i += 1) {
      const t = t0 + i * dt;
      while (k < times.length - 2 && valueAt(times, k + 1) <= t) k += 1;
      const from = valueAt(times, k);
      const long = valueAt(times, k + 1) - from;
      if (long > 1.5 * dt || long < 0.5 * dt) met.uneven = true;
      const a = valueAt(values, k);
      out[i] = a + ((valueAt(values, k + 1) - a) * (t - from)) / long;
    }
    return { ...rest, values: out };
  });
  if (met.uneven && !(Math.max(...steps) > 1.01 * dt))
    notes.push('The samples were not evenly spaced: they were resampled.');
  return { t0, dt, channels, notes };
}

/** Was this channel driven out of its range? Then its peaks and RMS are not judged. */
export const isClipped = ({ values }: Channel): boolean => {
  const held = clippedShare(values);
  return held > heldShare && held < squareShare;
};
