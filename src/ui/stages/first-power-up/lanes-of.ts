import { thinned, type Capture } from '@/core/power-up/capture';
import type { TraceName, Wave } from '@/core/power-up/waveform';
import { alignment } from '@/core/power-up/waveform-diagnosis';
import type { Curve, WaveLane } from './wave-chart';
import { valueAt } from '@/core/numerics/arrays';

interface LaneOf {
  id: string;
  name: string;
  unit: string;
  trace: TraceName;
  /** The pulses behind a filtered picture. */
  raw?: TraceName;
}

export const inputLanes: readonly LaneOf[] = [
  { id: 'vdc', name: 'Bus', unit: 'V', trace: 'vdc' },
  { id: 'ia', name: 'Line current L1', unit: 'A', trace: 'ia' },
  { id: 'ib', name: 'Line current L2', unit: 'A', trace: 'ib' },
  { id: 'ic', name: 'Line current L3', unit: 'A', trace: 'ic' },
];
export const outputLanes: readonly LaneOf[] = [
  { id: 'vuv', name: 'Output U to V, filtered', unit: 'V', trace: 'vuvMean', raw: 'vuv' },
  { id: 'vvw', name: 'Output V to W, filtered', unit: 'V', trace: 'vvwMean', raw: 'vvw' },
  { id: 'vwu', name: 'Output W to U, filtered', unit: 'V', trace: 'vwuMean', raw: 'vwu' },
  { id: 'iu', name: 'Output current U', unit: 'A', trace: 'iu' },
  { id: 'iv', name: 'Output current V', unit: 'A', trace: 'iv' },
  { id: 'iw', name: 'Output current W', unit: 'A', trace: 'iw' },
];

/** A capture and by how much it is moved, s: input and output keep their own time. */
export interface Laid {
  capture: Capture;
  shift: { input: number; output: number };
}

const isOutput = (role: string): boolean => outputLanes.some((l) => l.id === role);

/** A computed trace by its name; undefined where the run has none of it. */
const traceOf = (wave: Wave, name: string): Float64Array | undefined =>
  Object.entries(wave.run.samples).find(([trace]) => trace === name)?.[1];

/** Where a capture lies on the computed picture: each side by a channel of its own, and whole periods on. */
export function laidOn(capture: Capture, wave: Wave, f: number, f1: number): Laid {
  const side = (lanes: readonly LaneOf[], hz: number): number => {
    const channel = lanes
      .map((l) => ({
        of: capture.channels.find((c) => c.role === l.id),
        with: wave.run.samples[l.trace] ?? traceOf(wave, l.id),
      }))
      // A current says more of where in its period it is than a bus that repeats three times in it.
      .sort(
        (a, b) => Number(b.of?.role.startsWith('i') ?? false) - Number(a.of?.role.startsWith('i') ?? false),
      )
      .find((c) => c.of !== undefined && c.with !== undefined);
    const [t0 = 0, t1 = 1] = wave.run.t;
    if (channel?.of === undefined || channel.with === undefined) return 0;
    const by = alignment(
      { t0: capture.t0, dt: capture.dt, values: channel.of.values },
      { t0, dt: t1 - t0, values: channel.with },
      hz,
    );
    return by + Math.round((t0 - capture.t0 - by) * hz) / hz;
  };
  const has = (lanes: readonly LaneOf[]) =>
    lanes.some((l) => l.id.startsWith('i') && capture.channels.some((c) => c.role === l.id));
  const output = side(outputLanes, f1);
  // A bus beside output currents alone follows them.
  return {
    capture,
    shift: { input: has(outputLanes) && !has(inputLanes) ? output : side(inputLanes, f), output },
  };
}

const points = 900;

/** A running mean over so many samples; what a carrier leaves on a filtered picture goes. */
function calmed(values: Float64Array, over: number): Float64Array {
  if (over < 2) return values;
  const out = new Float64Array(values.length);
  let sum = 0;
  for (let k = 0; k < values.length; k += 1) {
    sum += valueAt(values, k);
    if (k >= over) sum -= valueAt(values, k - over);
    out[k] = sum / Math.min(over, k + 1);
  }
  // A mean of what was lags by half its length: it is put back.
  const back = Math.floor(over / 2);
  return Float64Array.from(out, (_, k) => valueAt(out, Math.min(out.length - 1, k + back)));
}

/** Samples of one carrier period. */
const overCarrier = (t: Float64Array, fc: number): number =>
  Math.round(1 / (fc * Math.max(1e-9, (t[1] ?? 1) - (t[0] ?? 0))));

function curve(wave: Wave, trace: TraceName, name: string, style: Curve['style'], fc: number): Curve[] {
  const exact = wave.run.samples[trace];
  const filtered = trace.endsWith('Mean');
  const values = exact ?? (filtered ? traceOf(wave, trace.slice(0, 3)) : undefined);
  if (values === undefined || values.length === 0) return [];
  const t = wave.run.t;
  const v = filtered ? calmed(values, 2 * overCarrier(t, fc)) : values;
  const [t0 = 0, t1 = 1] = t;
  return [{ name, style, ...thinned(v, { t0, dt: t1 - t0 }, points) }];
}

/** Lanes of a picture: computed now, the sound one behind it, the pulses behind what is filtered. */
export function lanesFor(
  which: readonly LaneOf[],
  now: Wave | null,
  sound: Wave | null,
  fc: number,
  measured: Laid | null = null,
): WaveLane[] {
  return which.flatMap(({ trace, raw, ...lane }) => {
    const curves = [
      ...(now !== null && raw !== undefined && measured === null ? curve(now, raw, 'pulses', 'raw', fc) : []),
      ...(sound === null ? [] : curve(sound, trace, 'sound', 'sound', fc)),
      ...(now === null ? [] : curve(now, trace, 'now', 'now', fc)),
      ...(measured === null ? [] : measuredCurve(measured, lane.id, now)),
    ];
    return curves.length === 0 ? [] : [{ ...lane, curves }];
  });
}

/** A channel of a capture, moved on to the computed picture and cut to its length. */
function measuredCurve({ capture, shift }: Laid, role: string, now: Wave | null): Curve[] {
  const channel = capture.channels.find((c) => c.role === role);
  const window = now?.run.t;
  if (channel === undefined || window === undefined || window.length < 2) return [];
  const by = shift[isOutput(role) ? 'output' : 'input'];
  const from = valueAt(window, 0);
  const to = valueAt(window, window.length - 1);
  const start = capture.t0 + by;
  const first = Math.max(0, Math.ceil((from - start) / capture.dt));
  const after = Math.max(first, Math.floor((to - start) / capture.dt) + 1);
  const seen = channel.values.subarray(first, after);
  const t0 = start + first * capture.dt;
  return [{ name: 'measured', style: 'measured', ...thinned(seen, { t0, dt: capture.dt }, points) }];
}
