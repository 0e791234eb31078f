import { stepMatrices } from './exponential';
import { LOAD, legStates, networkFor, ONE, SIN, type LegState } from './network';
import type { WaveCase } from './case';
import { patternsOf, type Pattern } from './patterns';
import { topologyOf } from './topology';
import { item, rowTimes, valueAt } from '../../numerics/arrays';

/** Samples in a period of the supply, and the longest step. */
export const samplesPerPeriod = 512;
/** A sample is 2¹⁴ ticks, so all times are whole ticks: 2.4 ns at 50 Hz. */
export const longestLevel = 14;
/** Ticks between two samples. */
export const ticksPerSample = 2 ** longestLevel;
/** So many events on end are chatter: then steps of 2⁶ ticks (0.15 µs at 50 Hz) are taken blind. */
const chatterEvents = 60;
const blindLevel = 6;
/** A current or voltage so little below zero is zero. */
const slack = 1e-7;

/** What a leg's gates ask for. */
export type Gate = 'none' | 'hi' | 'lo';

/** A running circuit: driven by gates and by what is drawn, read at any tick. */
export interface Engine {
  ticksPerSecond: number;
  ticks: () => number;
  /** Current drawn from the bus besides what the network draws itself, A. */
  draw: (amps: number) => void;
  gate: (leg: number, gate: Gate) => void;
  /** On to a time, through whatever happens on the way. */
  advance: (toTicks: number) => void;
  /** Goes up whenever something moved: what was read stays true while it stands. */
  changes: () => number;
  /** The first so many outputs now, in the order of `outputNames`. */
  read: (into: Float64Array, count: number) => void;
  /** Volts across the bank now. */
  busVolts: () => number;
  /** What is called around each stretch: at its start and at its end. */
  listen: (atStart: () => void, atEnd: () => void) => void;
  events: () => number;
}

/** `rows`·z, the first `count` of them. Apart from the engine, so that nothing in the loop can change under it. */
function stepInto(
  rows: Float64Array,
  z: Float64Array,
  into: Float64Array,
  count: number,
  width: number,
): void {
  let p = 0;
  for (let i = 0; i < count; i += 1) {
    into[i] = rowTimes(rows, p, z, width);
    p += width;
  }
}

/** Does everything that is watched stay above zero? */
function holds(watch: Float64Array, z: Float64Array, count: number, width: number): boolean {
  let p = 0;
  for (let i = 0; i < count; i += 1) {
    if (rowTimes(watch, p, z, width) < -slack) return false;
    p += width;
  }
  return true;
}

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

/** Cosine and sine of each ω over 2^level ticks, level by level. */
const turnsOf = (omegas: readonly number[], ticksPerSecond: number): Float64Array[] =>
  Array.from({ length: longestLevel + 1 }, (_, k) =>
    Float64Array.from(
      omegas.flatMap((w) => [Math.cos, Math.sin].map((f) => f((w * 2 ** k) / ticksPerSecond))),
    ),
  );

/** A number for what conducts now. */
function patternKey(on: readonly boolean[], legs: readonly LegState[]): number {
  let key = 0;
  for (const v of on) key = key * 2 + (v ? 1 : 0);
  for (const l of legs) key = key * 9 + l;
  return key;
}

/** The running circuit. With `driven`, only source, rectifier, link and bank, and a current that is drawn. */
export function engineFor(given: WaveCase, driven: boolean): Engine {
  const net = networkFor(given, driven);
  const { n, m } = net;
  const ticksPerSecond = given.supply.f * samplesPerPeriod * ticksPerSample;
  const width = n + m;
  const omega = 2 * Math.PI * given.supply.f;
  const omega1 = 2 * Math.PI * given.inverter.f1;
  const { Vce, Vfd, Rce, Rfd } = given.inverter;
  /** Switches and diodes alike: then a gated leg is one resistance, and there are far fewer patterns. */
  const plain = Vce === 0 && Vfd === 0 && Rce === Rfd;
  const pairs = m > 4 ? [omega, omega1] : [omega];
  const turns = turnsOf(pairs, ticksPerSecond);

  // Numbers that change at each step live in arrays: a changing number in a closure is a new object each time.
  let z = new Float64Array(width);
  let next = new Float64Array(width);
  const start = new Float64Array(width);
  const clock = new Float64Array(1);
  z[net.bankState] = given.bank.v0;
  z[n + ONE] = 1;
  pairs.forEach((_, i) => (z[n + SIN + 2 * i + 1] = 1));
  let events = 0;
  let changes = 0;
  const on = net.valves.map((v) => v.fixed === 'on');
  const legs: LegState[] = net.legs.map(() => legStates.none);
  const gates: Gate[] = net.legs.map(() => 'none');
  const patterns = patternsOf(given, driven);
  let atStart: (() => void) | null = null;
  let atEnd: (() => void) | null = null;

  function patternNow(): Pattern {
    const key = patternKey(on, legs);
    const kept = patterns.get(key);
    if (kept !== undefined) return kept;
    const topology = topologyOf(net, on, legs);
    const matrix = withTurning(topology.derivative, width, n, pairs);
    const made = {
      topology,
      steps: stepMatrices(matrix, n, m, 1 / ticksPerSecond, longestLevel),
      watched: topology.meaning.length,
    };
    patterns.set(key, made);
    return made;
  }

  /** z after 2^level ticks, into `next`. */
  function tryStep(pattern: Pattern, level: number): void {
    const turn = item(turns, level);
    stepInto(item(pattern.steps.byLevel, level), z, next, n, width);
    next[n + ONE] = 1;
    next[n + LOAD] = valueAt(z, n + LOAD);
    for (let i = 0; i < pairs.length; i += 1) {
      const phase = n + SIN + 2 * i;
      const c = valueAt(turn, 2 * i);
      const s = valueAt(turn, 2 * i + 1);
      const sin = valueAt(z, phase);
      const cos = valueAt(z, phase + 1);
      next[phase] = sin * c + cos * s;
      next[phase + 1] = cos * c - sin * s;
    }
  }

  function take(level: number): void {
    const kept = z;
    z = next;
    next = kept;
    clock[0] = valueAt(clock, 0) + (1 << level);
    changes += 1;
  }

  /** Turns what has to turn until all that conducts agrees with the volts. */
  function resolve(): Pattern {
    let pattern = patternNow();
    for (let round = 0; round < 40; round += 1) {
      const { watch, meaning } = pattern.topology;
      let turned = false;
      for (let i = 0; i < pattern.watched; i += 1) {
        if (rowTimes(watch, i * width, z, width) >= -slack) continue;
        const what = item(meaning, i);
        if (what.of === 'valve') on[what.index] = what.becomes;
        else
          legs[what.index] =
            what.becomes === legStates.none ? gateCode[gates[what.index] ?? 'none'] : what.becomes;
        turned = true;
        // After some rounds one at a time: two that turn each other back settle so.
        if (round > 8) break;
      }
      if (!turned) return pattern;
      pattern = patternNow();
    }
    return pattern;
  }

  let pattern = resolve();

  /** Straight to a time with what conducts now; false, and nothing moved, where that does not hold at its end. */
  function stretch(to: number): boolean {
    const from = valueAt(clock, 0);
    start.set(z);
    while (valueAt(clock, 0) < to) {
      const level = Math.min(longestLevel, 31 - Math.clz32(to - valueAt(clock, 0)));
      tryStep(pattern, level);
      take(level);
    }
    if (holds(pattern.topology.watch, z, pattern.watched, width)) return true;
    z.set(start);
    clock[0] = from;
    return false;
  }

  /** To just after the first change of what conducts, at most to a time. */
  function toEvent(to: number, blind: number): void {
    let level = longestLevel;
    while (valueAt(clock, 0) < to && level >= 0) {
      level = Math.min(level, 31 - Math.clz32(to - valueAt(clock, 0)));
      tryStep(pattern, level);
      if (holds(pattern.topology.watch, next, pattern.watched, width)) take(level);
      else if (level > blind) level -= 1;
      else {
        take(level);
        return;
      }
    }
  }

  function advance(to: number): void {
    let here = 0;
    atStart?.();
    while (valueAt(clock, 0) < to) {
      if (stretch(to)) break;
      toEvent(to, here > chatterEvents ? blindLevel : 0);
      events += 1;
      here += 1;
      atEnd?.();
      changes += 1;
      pattern = resolve();
      atStart?.();
    }
    atEnd?.();
  }

  function gate(leg: number, wanted: Gate): void {
    const at = net.legs[leg];
    const state = legs[leg];
    if (at === undefined || state === undefined) return;
    const works = (wanted === 'hi' && !at.hiOpen) || (wanted === 'lo' && !at.loOpen) ? wanted : 'none';
    gates[leg] = works;
    legs[leg] = afterGate(state, works, plain);
    changes += 1;
    pattern = resolve();
  }

  const bus = new Float64Array(1);

  const engine: Engine = {
    ticksPerSecond,
    ticks: () => valueAt(clock, 0),
    changes: () => changes,
    draw: (amps) => {
      z[n + LOAD] = amps;
      changes += 1;
      // What is drawn moves the bus at once through the bank's resistance.
      if (!holds(pattern.topology.watch, z, pattern.watched, width)) pattern = resolve();
    },
    gate,
    advance,
    read: (into, count) => stepInto(pattern.topology.outputs, z, into, count, width),
    busVolts: () => {
      stepInto(pattern.topology.outputs, z, bus, 1, width);
      return valueAt(bus, 0);
    },
    listen: (start, end) => {
      atStart = start;
      atEnd = end;
    },
    events: () => events,
  };
  return engine;
}
