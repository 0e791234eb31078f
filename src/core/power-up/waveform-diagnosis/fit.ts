import { ImpossibleCircuit, scaledLoad, simulateWave, type Figures, type WaveCase } from '../waveform';
import type { WaveformCause } from './causes';
import { flowOf, isOutput, judgedKeys, sigmaOf } from './figure-keys';

/** Figures that were measured, by the names of `core/waveform`; what was not measured is left out. */
export type Measured = Readonly<Record<string, number>>;

/** Beyond this many standard deviations a figure is simply wrong, and weighs no more. */
const farthest = 5;
const settled_s = 0.1;
/** So many times a load is put right. */
const fits = 4;
/** A load so near is put right no further; at first sight one that is about right. */
const closeTo = 0.04;
/** A load fitted to within this share is good enough. */
export const aboutRight = 0.25;
/** Loads are looked for between these shares of the one given. */
export const leastShare = 0.02;
/** The same, the other end. */
export const mostShare = 3;
/** The second of two loads at which the outputs of a sound unit are looked at. */
const lessShare = 0.3;
const currents: readonly string[] = ['iu_rms', 'iv_rms', 'iw_rms'];

/** A circuit that causes are put into; where the inverter is only a load in it, with what a sound output gives. */
export interface Base {
  given: WaveCase;
  outputs?: (share: number) => Figures;
}

/** A change to a circuit: a cause at one size. */
export type CaseChange = (c: WaveCase) => WaveCase;

/** A cause at one size on one base, to be simulated. */
export interface Try {
  cause: WaveformCause;
  base: Base;
  change: CaseChange;
  given: WaveCase;
  share: number;
  figures: Figures;
  misfit: number;
}

/** Mean square of what measured and expected figures differ by, in standard deviations; Infinity where none can be compared. */
export function distance(measured: Measured, expected: Figures): number {
  let sum = 0;
  let judged = 0;
  for (const key of judgedKeys) {
    const m = measured[key];
    const e = expected[key];
    if (m === undefined || e === undefined) continue;
    sum += Math.min(farthest ** 2, ((m - e) / sigmaOf(key, m, expected)) ** 2);
    judged += 1;
  }
  return judged === 0 ? Infinity : sum / judged;
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
  // A motor's current hardly says how much it does, the lines' does.
  const ratio =
    want.line > 0 && here.line > 0
      ? want.line / here.line
      : want.out > 0 && here.out > 0
        ? want.out / here.out
        : 1;
  return Number.isFinite(ratio) && ratio > 0 ? ratio : 1;
}

const clamp = (share: number): number => Math.max(leastShare, Math.min(mostShare, share));

/** No figures where a fault makes a circuit that cannot be followed: it explains nothing then. */
function figuresIfPossible(given: WaveCase): Figures {
  try {
    return simulateWave(given).figures;
  } catch (error) {
    if (error instanceof ImpossibleCircuit) return {};
    throw error;
  }
}

/** A cause at a share of the load. */
export function tryAt(
  cause: WaveformCause,
  change: CaseChange,
  base: Base,
  measured: Measured,
  share: number,
): Try {
  const given = change(scaledLoad(base.given, share));
  const figures = { ...base.outputs?.(share), ...figuresIfPossible(given) };
  return { cause, base, change, given, share, figures, misfit: distance(measured, figures) };
}

/**
 * The tries on the way to the load at which as much flows as was measured. Far from it every figure is simply wrong, so
 * that none of them says whether a step was one in the right direction; what flows does.
 */
export function towardsFlow(tried: Try, measured: Measured, near = closeTo): Try[] {
  const flows = flowOf(measured);
  const way = [tried];
  if (flows.line === 0 && flows.out === 0) return way;
  let now = tried;
  let more = flowRatio(measured, now.figures);
  /** How much faster than its load what flows goes, as an exponent. */
  let slope = 1;
  for (let round = 0; round < fits; round += 1) {
    const share = clamp(now.share * more ** (1 / slope));
    if (Math.abs(share / now.share - 1) < near) break;
    const next = tryAt(now.cause, now.change, now.base, measured, share);
    const left = flowRatio(measured, next.figures);
    slope = Math.max(0.3, Math.min(1.5, Math.log(more / left) / Math.log(share / now.share)));
    more = left;
    now = next;
    way.push(now);
  }
  return way;
}

/** Of some tries the one that fits best. */
export const bestOf = (first: Try, ...others: Try[]): Try =>
  others.reduce((best, t) => (t.misfit < best.misfit ? t : best), first);

/** The same at the load that fits it: what flows was measured. */
export const refitted = (tried: Try, measured: Measured): Try =>
  bestOf(tried, ...towardsFlow(tried, measured));

/**
 * Of faults before the inverter it is only a load: its power takes its place, which is several times quicker, and its
 * outputs are those of the sound unit, whose currents go with the load as two loads show.
 */
export function beforeInverter(sound: WaveCase): Base {
  if (sound.load.kind !== 'inverter') return { given: sound };
  const { run, figures } = simulateWave(sound);
  const less = simulateWave(scaledLoad(sound, lessShare)).figures;
  const outputs = Object.entries(figures).filter(([key]) => isOutput(key));
  // The part of a current that is there at any load, and the one that goes with it, stand at right angles.
  const atShare = (key: string, full: number, share: number): number => {
    const slope = (full ** 2 - (less[key] ?? 0) ** 2) / (1 - lessShare ** 2);
    return Math.sqrt(Math.max(0, full ** 2 + slope * (share ** 2 - 1)));
  };
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
      Object.fromEntries(
        outputs.map(([key, v]) => [key, currents.includes(key) ? atShare(key, v, share) : v]),
      ),
  };
}
