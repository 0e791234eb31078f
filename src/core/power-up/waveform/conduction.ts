import { allAtLeast, item, rowTimes } from '../../numerics/arrays';
import type { WaveCase } from './case';
import { stepMatrices } from './exponential';
import { legStates, SIN, type LegState, type SwitchedNetwork } from './network';
import { patternsOf, type Pattern } from './patterns';
import { longestLevel } from './timing';
import { topologyOf } from './topology';

/** A current or voltage so little below zero is zero. */
const slack = 1e-7;
/** Everything has turned that must after so many rounds, or nothing ever agrees. */
const mostRounds = 40;
/** After so many rounds one turns at a time: two that turn each other back settle so. */
const roundsTogether = 8;

/** What a leg's gates ask for. */
export type Gate = 'none' | 'hi' | 'lo';

/** Does everything that is watched in a pattern stay above zero? */
export const holds = ({ topology: { watch }, watched }: Pattern, z: Float64Array): boolean =>
  allAtLeast(watch, z, -slack, watched, z.length);

const gateCode: Readonly<Record<Gate, LegState>> = {
  none: legStates.none,
  hi: legStates.noneHi,
  lo: legStates.noneLo,
};

/** What conducts in a leg right after its gates changed. @param plain switches and diodes are alike */
function afterGate(state: LegState, works: Gate, plain: boolean): LegState {
  if (plain && works !== 'none') return works === 'hi' ? legStates.hiBoth : legStates.loBoth;
  // Which diode takes over depends on which way the current goes: volts decide, from nothing.
  if (plain && (state === legStates.hiBoth || state === legStates.loBoth)) return legStates.none;
  if (state === legStates.hiSwitch || state === legStates.loDiode)
    return works === 'hi' ? legStates.hiSwitch : legStates.loDiode;
  if (state === legStates.loSwitch || state === legStates.hiDiode)
    return works === 'lo' ? legStates.loSwitch : legStates.hiDiode;
  return gateCode[works];
}

/** The sine and cosine sources at ω, which turn by themselves. */
function withTurning(
  derivative: Float64Array,
  width: number,
  n: number,
  omegas: readonly number[],
): Float64Array {
  const matrix = new Float64Array(width * width);
  matrix.set(derivative);
  omegas.forEach((w, i) => {
    const s = n + SIN + 2 * i;
    matrix[s * width + s + 1] = w;
    matrix[(s + 1) * width + s] = -w;
  });
  return matrix;
}

/** A number for what conducts now. */
function patternKey(on: readonly boolean[], legs: readonly LegState[]): number {
  let key = 0;
  for (const v of on) key = key * 2 + (v ? 1 : 0);
  for (const l of legs) key = key * 9 + l;
  return key;
}

/** Which valves and legs conduct. */
export interface Conduction {
  /** Turns what has to turn until all that conducts agrees with the state, and gives the pattern of it. */
  resolve: (z: Float64Array) => Pattern;
  /**
   * Turns once what the state contradicts after an event in a stretch, and no more: the little that still flows where it may
   * not any more, or not yet where it may (what the event was late by), would stand as a spike at what is off and turn what
   * is not meant. Within a tick it is gone.
   */
  turnOnce: (z: Float64Array) => Pattern;
  /** Changes the gates of a leg; what conducts is to be resolved afterwards. */
  gate: (leg: number, wanted: Gate) => void;
}

interface ConductionTerms {
  driven: boolean;
  /** Of its sine and cosine pairs, rad/s. */
  omegas: readonly number[];
  /** Switches and diodes are alike: then a gated leg is one resistance, and there are far fewer patterns. */
  plain: boolean;
  ticksPerSecond: number;
}

/** What conducts in a network; at first only what always does. */
export function conductionOf(
  net: SwitchedNetwork,
  given: WaveCase,
  { driven, omegas, plain, ticksPerSecond }: ConductionTerms,
): Conduction {
  const { n, m } = net;
  const width = n + m;
  const on = net.valves.map((v) => v.fixed === 'on');
  const legs: LegState[] = net.legs.map(() => legStates.none);
  const gates: Gate[] = net.legs.map(() => 'none');
  const patterns = patternsOf(given, driven);

  function patternNow(): Pattern {
    const key = patternKey(on, legs);
    const kept = patterns.get(key);
    if (kept !== undefined) return kept;
    const topology = topologyOf(net, on, legs);
    const matrix = withTurning(topology.derivative, width, n, omegas);
    const made = {
      topology,
      steps: stepMatrices(matrix, n, m, 1 / ticksPerSecond, longestLevel),
      watched: topology.meaning.length,
    };
    patterns.set(key, made);
    return made;
  }

  /** Turns what the state contradicts; false where it contradicts nothing. */
  function turn(
    { topology: { watch, meaning }, watched }: Pattern,
    z: Float64Array,
    oneOnly: boolean,
  ): boolean {
    let turned = false;
    for (let i = 0; i < watched; i += 1) {
      if (rowTimes(watch, i * width, z, width) >= -slack) continue;
      const what = item(meaning, i);
      if (what.of === 'valve') on[what.index] = what.becomes;
      else
        legs[what.index] =
          what.becomes === legStates.none ? gateCode[gates[what.index] ?? 'none'] : what.becomes;
      if (oneOnly) return true;
      turned = true;
    }
    return turned;
  }

  return {
    resolve: (z) => {
      let pattern = patternNow();
      for (let round = 0; round < mostRounds && turn(pattern, z, round > roundsTogether); round += 1)
        pattern = patternNow();
      return pattern;
    },
    turnOnce: (z) => {
      turn(patternNow(), z, false);
      return patternNow();
    },
    gate: (leg, wanted) => {
      const at = net.legs[leg];
      const state = legs[leg];
      if (at === undefined || state === undefined) return;
      const works = (wanted === 'hi' && !at.hiOpen) || (wanted === 'lo' && !at.loOpen) ? wanted : 'none';
      gates[leg] = works;
      legs[leg] = afterGate(state, works, plain);
    },
  };
}
