import type { RawChannel } from '..';

/** A current of 50 Hz. */
export const sine = (count: number, dt: number, peak = 10): RawChannel => ({
  name: 'ia',
  role: 'ia',
  unit: 'A',
  times: Float64Array.from({ length: count }, (_, k) => k * dt),
  values: Float64Array.from({ length: count }, (_, k) => peak * Math.sin(2 * Math.PI * 50 * k * dt)),
});
