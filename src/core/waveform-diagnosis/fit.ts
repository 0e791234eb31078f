import { scaledLoad, simulateWave, type Figures, type WaveCase } from '../waveform';
import type { Cause } from './causes';
import { flowOf, isOutput, judgedKeys, sigmaOf } from './figure-keys';

/** Figures that were measured, by the names of `core/waveform`; what was not measured is left out. */
export type Measured = Readonly<Record<string, number>>;

/** Beyond this many standard deviations a figure is simply wrong, and weighs no more. */
const farthest = 5;
const settled_s = 0.1;
/** So many times a load is put right. */
const fits = 3;
const leastShare = 0.02;
const mostShare = 3;

/** A circuit that causes are put into; where the inverter is only a load in it, with what a sound output gives. */
export interface Base {
  given: WaveCase;
  outputs?: (share: number) => Figures;
}

export type Change = (c: WaveCase) => WaveCase;

export interface Try {
  cause: Cause;
  base: Base;
  change: Change;
  given: WaveCase;
  share: number;
  figures: Figures;
  misfit: number;
}

export function distance(measured: Measured, expected: Figures): number {
  const keys = judgedKeys.filter((k) => measured[k] !== undefined && expected[k] !== undefined);
  if (keys.length === 0) return Infinity;
  let sum = 0;
  for (const key of keys) {
    const m = measured[key] as number;
    const z = (m - (expected[key] as number)) / sigmaOf(key, m, expected);
    sum += Math.min(farthest ** 2, z ** 2);
  }
  return sum / keys.length;
}

/** How much more or less flows than computed, by what was measured of it. */
function flowRatio(measured: Measured, figures: Figures): number {
  const want = flowOf(measured);
  // The same phases on both sides, so that a dead one counts on neither or on both.
  const here = flowOf(
    Object.fromEntries(
      Object.keys(measured).flatMap((k) => (figures[k] === undefined ? [] : [[k, figures[k]]])),
    ),
  );
  const ratio =
    want.out > 0 && here.out > 0
      ? want.out / here.out
      : want.line > 0 && here.line > 0
        ? want.line / here.line
        : 1;
  return Number.isFinite(ratio) && ratio > 0 ? ratio : 1;
}

const clamp = (share: number): number => Math.max(leastShare, Math.min(mostShare, share));

/** A cause at a share of the load. */
export function tryAt(cause: Cause, change: Change, base: Base, measured: Measured, share: number): Try {
  const given = change(scaledLoad(base.given, share));
  const figures = { ...base.outputs?.(share), ...simulateWave(given).figures };
  return { cause, base, change, given, share, figures, misfit: distance(measured, figures) };
}

/** The same at the load that fits it: what flows was measured. */
export function refitted(tried: Try, measured: Measured): Try {
  const flows = flowOf(measured);
  if (flows.line === 0 && flows.out === 0) return tried;
  let best = tried;
  for (let round = 0; round < fits; round += 1) {
    const share = clamp(best.share * flowRatio(measured, best.figures));
    if (Math.abs(share / best.share - 1) < 0.04) break;
    const again = tryAt(best.cause, best.change, best.base, measured, share);
    if (again.misfit >= best.misfit) break;
    best = again;
  }
  return best;
}

/**
 * Of faults before the inverter it is only a load: its power takes its place, which is several times quicker, and its
 * outputs are those of the sound unit, whose currents go with the load.
 */
export function beforeInverter(sound: WaveCase): Base {
  if (sound.load.kind !== 'inverter') return { given: sound };
  const { run, figures } = simulateWave(sound);
  const outputs = Object.entries(figures).filter(([key]) => isOutput(key));
  const P = (run.sums.mean['vdc'] ?? 0) * (run.sums.mean['idc'] ?? 0);
  const [from, to] = sound.window;
  return {
    // Quick enough to wait until what the start left in the lines is gone.
    given: {
      ...sound,
      load: { kind: 'P', P: Math.max(P, 1), Vmin: 50 },
      window: [from + settled_s, to + settled_s],
    },
    outputs: (share) =>
      Object.fromEntries(outputs.map(([key, v]) => [key, key.startsWith('i') ? v * share : v])),
  };
}
