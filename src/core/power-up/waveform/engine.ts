import { matrixTimes, valueAt } from '../../numerics/arrays';
import { ImpossibleCircuit, type CaseProblem, type WaveCase } from './case';
import { conductionOf, holds, type Gate } from './conduction';
import { levelTo, movingState } from './moving-state';
import { LOAD, networkFor } from './network';
import { longestLevel, samplesPerPeriod, ticksPerSample } from './timing';

/** So many events on end are chatter: then steps of 2⁶ ticks (0.15 µs at 50 Hz) are taken blind. */
const chatterEvents = 60;
const blindLevel = 6;
/** After so many of them the result would be of the steps, not of the circuit. */
const mostBlind = 20_000;

const unsettled = ({ supply }: WaveCase): CaseProblem => ({
  path: 'supply.Ls',
  given: supply.Ls,
  allowed:
    'more inductance, or resistances of the diodes nearer to those of real ones: what conducts in this circuit changes faster than it can be followed',
});

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

/** The running circuit. With `driven`, only source, rectifier, link and bank, and a current that is drawn. */
export function engineFor(given: WaveCase, driven: boolean): Engine {
  const net = networkFor(given, driven);
  const width = net.n + net.m;
  const ticksPerSecond = given.supply.f * samplesPerPeriod * ticksPerSample;
  const { Vce, Vfd, Rce, Rfd, f1 } = given.inverter;
  const plain = Vce === 0 && Vfd === 0 && Rce === Rfd;
  const omegas = (net.m > 4 ? [given.supply.f, f1] : [given.supply.f]).map((f) => 2 * Math.PI * f);
  const state = movingState(net, given.bank.v0, omegas, ticksPerSecond);
  const conduction = conductionOf(net, given, { driven, omegas, plain, ticksPerSecond });
  const bus = new Float64Array(1);
  let events = 0;
  let blind = 0;
  let changes = 0;
  let atStart: (() => void) | null = null;
  let atEnd: (() => void) | null = null;
  let pattern = conduction.resolve(state.now());

  function take(level: number): void {
    state.take(level);
    changes += 1;
  }

  function settle(): void {
    changes += 1;
    pattern = conduction.resolve(state.now());
  }

  /** Straight to a time with what conducts now; false, and nothing moved, where that does not hold at its end. */
  function stretch(to: number): boolean {
    const from = state.ticks();
    const whole = levelTo(to - from);
    // A single step is tried before it is taken: nothing to go back to.
    if (to - from === 1 << whole) {
      const stays = holds(pattern, state.tried(pattern.steps, whole));
      if (stays) take(whole);
      return stays;
    }
    state.mark();
    for (let at = from; at < to;) {
      const level = levelTo(to - at);
      state.tried(pattern.steps, level);
      take(level);
      at += 1 << level;
    }
    if (holds(pattern, state.now())) return true;
    state.back();
    return false;
  }

  /** To just after the first change of what conducts, at most to a time. */
  function toEvent(to: number, blind: number): void {
    let level = longestLevel;
    let at = state.ticks();
    while (at < to && level >= 0) {
      level = Math.min(level, levelTo(to - at));
      if (holds(pattern, state.tried(pattern.steps, level))) {
        take(level);
        at += 1 << level;
      } else if (level > blind) level -= 1;
      else return take(level);
    }
  }

  function advance(to: number): void {
    let here = 0;
    atStart?.();
    while (state.ticks() < to) {
      if (stretch(to)) break;
      const chatters = here > chatterEvents;
      if (chatters) blind += 1;
      if (blind > mostBlind) throw new ImpossibleCircuit(unsettled(given));
      toEvent(to, chatters ? blindLevel : 0);
      events += 1;
      here += 1;
      atEnd?.();
      changes += 1;
      pattern = conduction.turnOnce(state.now());
      atStart?.();
      if (state.ticks() >= to) break;
      state.tried(pattern.steps, 0);
      take(0);
    }
    atEnd?.();
  }

  return {
    ticksPerSecond,
    ticks: state.ticks,
    changes: () => changes,
    draw: (amps) => {
      const z = state.now();
      z[net.n + LOAD] = amps;
      changes += 1;
      // What is drawn moves the bus at once through the bank's resistance.
      if (!holds(pattern, z)) pattern = conduction.resolve(z);
    },
    gate: (leg, wanted) => {
      conduction.gate(leg, wanted);
      settle();
    },
    advance,
    read: (into, count) => matrixTimes(pattern.topology.outputs, state.now(), into, count, width),
    busVolts: () => {
      matrixTimes(pattern.topology.outputs, state.now(), bus, 1, width);
      return valueAt(bus, 0);
    },
    listen: (start, end) => {
      atStart = start;
      atEnd = end;
    },
    events: () => events,
  };
}
