import { formatSignificant } from '../../numerics/figures';
import type { Figures, WaveCase } from '../waveform';
import { causesFor, type WaveformCause, type CauseFamily } from './causes';
import { figureUnit, figureWords, judgedKeys, sigmaOf } from './figure-keys';
import {
  aboutRight,
  beforeInverter,
  bestOf,
  distance,
  leastShare,
  mostShare,
  refitted,
  towardsFlow,
  tryAt,
  type Base,
  type Measured,
  type Try,
} from './fit';
import { pairNotes } from './pairs';
import { item } from '../../numerics/arrays';

/** A figure that the cause explains and a sound unit does not. */
export interface FigureDifference {
  key: string;
  text: string;
  measured: number;
  /** What the sound unit would give at this load, and what this cause gives. */
  sound: number;
  expected: number;
  unit: string;
}

/** A cause with its probability and what it explains. */
export interface RankedCause {
  id: string;
  family: CauseFamily;
  name: string;
  first: string;
  probability: number;
  /** Mean square of the distances, in standard deviations: about 1 fits. */
  misfit: number;
  /** Share of the load given that fits best. */
  share: number;
  figures: Figures;
  /** In what the measurement differs from a sound unit, most telling first. */
  differs: readonly FigureDifference[];
  /** The circuit that gives it, for the picture. */
  given: WaveCase;
}

/** Which fault gives what was measured under power. */
export interface WaveDiagnosis {
  verdict: 'sound' | 'fault' | 'doubtful' | 'unexplained' | 'nothing-measured';
  headline: string;
  /** Best first. */
  found: readonly RankedCause[];
  /** Causes that would give the same figures as the best: what was measured cannot tell them apart. */
  same: readonly string[];
  notes: readonly string[];
}

/** Of many figures that hang together only so many count in full. */
const independent = 6;
const unexplainedBeyond = 5;
/** Two causes whose figures lie closer than this look the same. */
const sameWithin = 0.6;
/** So many causes, the closest at first sight, are fitted to their own load and size. */
const closest = 9;
/** Of what is measured: less than that is said as 0. */
const nothing = 0.02;
/** So many of the closest are tried with the inverter and with its power in its place. */
const bothWays = 4;
/** Where the bus swings at the supply's own frequency the motor's currents swing with it: the inverter is needed. */
const dynamic = ({ family, id }: WaveformCause): boolean =>
  family === 'output' || id.startsWith('diode-open');

/**
 * Ranks what would give these figures. Yields the share done, so that a worker can show it and stop.
 * @param sound the unit at the load it ran on when it was measured
 */
export function* diagnoseWave(
  sound: WaveCase,
  measured: Measured,
  { prechargeOhm }: { prechargeOhm: number },
): Generator<number, WaveDiagnosis> {
  const asked = Object.fromEntries(Object.entries(measured).filter(([k]) => judgedKeys.includes(k)));
  if (Object.keys(asked).length === 0) return nothingToJudge('No values to diagnose yet.');
  const whole: Base = { given: sound };
  const before = beforeInverter(sound);
  const causes = causesFor(sound, prechargeOhm);
  const total = causes.length + closest;
  const tries: Try[] = [];
  let share = 1;
  for (const cause of causes) {
    const [change] = cause.changes;
    if (change === undefined) continue;
    const first = tryAt(cause, change, dynamic(cause) ? whole : before, asked, share);
    const way = towardsFlow(first, asked, aboutRight);
    // The load that a sound unit would have is where the others begin.
    if (cause.id === 'sound') share = (way[way.length - 1] ?? first).share;
    tries.push(bestOf(first, ...way));
    yield tries.length / total;
  }
  tries.sort((a, b) => a.misfit - b.misfit);
  for (let k = 0; k < tries.length && k < closest; k += 1) {
    let best = refitted(item(tries, k), asked);
    for (const change of best.cause.changes.slice(1)) {
      best = bestOf(best, refitted(tryAt(best.cause, change, best.base, asked, best.share), asked));
    }
    // A drive may hold its output while the bus moves, or let it follow: either may be what was measured.
    if (k < bothWays && best.cause.family !== 'output' && before.outputs !== undefined) {
      const base = best.base === whole ? before : whole;
      best = bestOf(best, refitted(tryAt(best.cause, best.change, base, asked, best.share), asked));
    }
    tries[k] = best;
    yield (causes.length + k + 1) / total;
  }
  const comparable = tries.filter((t) => t.misfit < Infinity);
  if (comparable.length === 0) return nothingToJudge('None of these values occurs in this circuit.');
  return concluded(comparable, asked);
}

const nothingToJudge = (headline: string): WaveDiagnosis => ({
  verdict: 'nothing-measured',
  headline,
  found: [],
  same: [],
  notes: [],
});

const oddsOf = ({ cause, change }: Try): number => cause.odds?.[cause.changes.indexOf(change)] ?? 1;

function concluded(tries: readonly Try[], measured: Measured): WaveDiagnosis {
  const count = Object.keys(measured).length;
  const weightOf = (t: Try) =>
    t.cause.weight * oddsOf(t) * Math.exp(-0.5 * t.misfit * Math.min(count, independent));
  const least = Math.min(...tries.map((t) => t.misfit));
  const scale = Math.exp(0.5 * least * Math.min(count, independent));
  const sum = tries.reduce((s, t) => s + weightOf(t) * scale, 0);
  const sound = tries.find((t) => t.cause.id === 'sound');
  const found = tries
    .map((t): RankedCause => ({
      id: t.cause.id,
      family: t.cause.family,
      name: t.cause.name,
      first: t.cause.first,
      probability: (weightOf(t) * scale) / sum,
      misfit: t.misfit,
      share: t.share,
      figures: t.figures,
      given: t.given,
      differs: sound === undefined ? [] : differences(measured, sound.figures, t.figures),
    }))
    .sort((a, b) => b.probability - a.probability);
  const [best] = found;
  if (best === undefined) throw new Error('nothing was tried');
  const same = found
    .slice(1)
    .filter((f) => alike(measured, best.figures, f.figures) && f.probability > 0.02)
    .map((f) => f.id);
  const notes = [...pairNotes(measured, best.family === 'output'), ...notesOf(best, found, measured)];
  if (best.misfit > unexplainedBeyond)
    return {
      verdict: 'unexplained',
      headline:
        'No single fault gives these values. Check the meter, the lead positions, and the load entered.',
      found,
      same,
      notes,
    };
  const [first] = best.differs;
  const because = first === undefined || best.id === 'sound' ? '' : ` ${first.text}.`;
  const verdict = best.probability < 0.6 ? 'doubtful' : best.id === 'sound' ? 'sound' : 'fault';
  const headline =
    verdict === 'doubtful'
      ? `Not yet distinguished: ${found
          .slice(0, 3)
          .filter((f) => f.probability > 0.1)
          .map((f) => f.name)
          .join('; or: ')}.`
      : `${best.name}.${because}`;
  return { verdict, headline, found, same, notes };
}

/** Do two sets of figures look the same with what was measured? */
function alike(measured: Measured, a: Figures, b: Figures): boolean {
  const picked = Object.fromEntries(
    Object.keys(measured).flatMap((k) => (a[k] === undefined ? [] : [[k, a[k]]])),
  );
  return distance(picked, b) < sameWithin;
}

/** In what a measurement differs from the sound unit, where the cause explains it. */
function differences(measured: Measured, sound: Figures, expected: Figures): FigureDifference[] {
  return Object.entries(measured)
    .flatMap(([key, m]) => {
      const s = sound[key];
      const e = expected[key];
      if (s === undefined || e === undefined) return [];
      const z = Math.abs(m - s) / sigmaOf(key, m, sound);
      const closer = Math.abs(m - e) < Math.abs(m - s);
      return z > 2 && closer ? [{ key, z, m, s, e }] : [];
    })
    .sort((a, b) => telling(b.key) - telling(a.key) || b.z - a.z)
    .map(({ key, m, s, e }) => ({
      key,
      measured: m,
      sound: s,
      expected: e,
      unit: figureUnit(key),
      text: `${capital(figureWords(key))} ${formatSignificant(m)} ${figureUnit(key)} instead of ${formatSignificant(Math.abs(s) < nothing * Math.abs(m) ? 0 : s)} ${figureUnit(key)}`,
    }));
}

/** What says most to a person comes first: a frequency, then what is dead or has DC. */
const telling = (key: string): number =>
  key === 'vdc_ripple_hz' ? 2 : key.endsWith('_dc') || key === 'i_sum_rms' ? 1 : 0;
const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

function notesOf(best: RankedCause, found: readonly RankedCause[], measured: Measured): string[] {
  const notes: string[] = [];
  const precharge = found.find((f) => f.id === 'precharge-stuck');
  if (precharge !== undefined && best.id === 'sound' && alike(measured, best.figures, precharge.figures))
    notes.push(
      'A precharge resistor that is not bypassed cannot be detected at this load: measure again under load.',
    );
  const weak = found.find((f) => f.id === 'bank-weak');
  if (weak !== undefined && best.id === 'sound' && alike(measured, best.figures, weak.figures))
    notes.push('An aged capacitor bank cannot be detected at this load: ripple depends on load.');
  if (best.family === 'output' && best.id.startsWith('switch.'))
    notes.push('An open IGBT and a missing gate drive give the same output: check the gate pulses.');
  if (best.id.startsWith('unbalance.'))
    notes.push(
      'With unbalance, the lowest current is not in the line with the lowest voltage: measure the voltages.',
    );
  if (best.misfit < unexplainedBeyond && Math.abs(best.share - 1) > 0.3)
    notes.push(`Actual load was about ${formatSignificant(100 * best.share, 2)} % of the load entered.`);
  if (best.share <= leastShare || best.share >= mostShare)
    notes.push(
      `The load was limited to ${best.share <= leastShare ? `${100 * leastShare} %` : `${mostShare} times`} the load entered, where the fit ends: enter the load that was on.`,
    );
  return notes;
}
