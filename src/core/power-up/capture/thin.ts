import type { Capture } from './capture';
import { valueAt } from '../../numerics/arrays';

/**
 * A picture of a long record: of each stretch its lowest and highest sample, in their order, so that no peak is lost.
 * @returns times and values, at most `points` of each
 */
export function thinned(
  values: Float64Array,
  { t0, dt }: Pick<Capture, 't0' | 'dt'>,
  points: number,
): { t: Float64Array; v: Float64Array } {
  const count = values.length;
  if (count <= points) {
    return { t: Float64Array.from(values, (_, k) => t0 + k * dt), v: values };
  }
  const stretches = Math.floor(points / 2);
  const t = new Float64Array(2 * stretches);
  const v = new Float64Array(2 * stretches);
  for (let s = 0; s < stretches; s += 1) {
    const from = Math.floor((s * count) / stretches);
    const to = Math.floor(((s + 1) * count) / stretches);
    let [low, high] = [from, from];
    for (let k = from + 1; k < to; k += 1) {
      if (valueAt(values, k) < valueAt(values, low)) low = k;
      if (valueAt(values, k) > valueAt(values, high)) high = k;
    }
    const [first, second] = low < high ? [low, high] : [high, low];
    t[2 * s] = t0 + first * dt;
    v[2 * s] = valueAt(values, first);
    t[2 * s + 1] = t0 + second * dt;
    v[2 * s + 1] = valueAt(values, second);
  }
  return { t, v };
}

/**
 * A record short enough to draw and keep: of each stretch its lowest and its highest sample in their order, each given half
 * of its time. Peaks stay; figures are read off the whole record before.
 */
export function shortened(capture: Capture, most: number): Capture {
  const count = capture.channels[0]?.values.length ?? 0;
  if (count <= most) return capture;
  const by = 2 * Math.ceil(count / most);
  const stretches = Math.floor(count / by);
  return {
    t0: capture.t0 + (by / 4) * capture.dt,
    dt: (by / 2) * capture.dt,
    notes: [...capture.notes, `Drawn and saved as minimum and maximum of every ${by} samples.`],
    channels: capture.channels.map((c) => {
      const whole = { t0: 0, dt: 1 };
      const { v } = thinned(c.values.subarray(0, stretches * by), whole, 2 * stretches);
      return { ...c, values: v };
    }),
  };
}
