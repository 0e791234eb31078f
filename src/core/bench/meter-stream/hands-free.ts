import { readLine } from './lines';

/** Steady for so long counts, ms. */
export const steady_ms = 600;
/** … within this, V. */
const steady_V = 0.003;
/** Rising by more than this over the window is a bank that fills, V. */
const climbing_V = 0.006;
/** No line for so long: cable, battery or meter off, ms. */
const silent_ms = 1500;
/** So many garbled lines in a row: wrong meter, wrong speed. */
const garbageLimit = 5;
/** More lines than this within a tenth of a second were held up on the way: their times mean nothing. */
const burst = 8;

/** What may be wrong with the lines of a meter: none come, they cannot be read, or they came all at once. */
export type MeterProblem = 'silent' | 'garbage' | 'burst';

/** What the listening has come to. */
export interface Listening {
  /** Figures of the present touch, newest last. */
  window: readonly { at_ms: number; volts: number }[];
  /** The meter was open since the last figure that counted. */
  armed: boolean;
  state: 'open' | 'settling' | 'climbing' | 'counted';
  lastLineAt_ms: number;
  /** When lines came lately, ms. */
  arrivals: readonly number[];
  garbage: number;
  batteryLow: boolean;
  trouble: MeterProblem | null;
}

/** A value that the meter settled on, V, or one that still climbs. */
export type Heard = { kind: 'counted'; volts: number } | { kind: 'climbing'; volts: number };

/**
 * The state before the first line.
 * @param now_ms of a clock that never goes back
 */
export const listening = (now_ms: number): Listening => ({
  window: [],
  armed: true,
  state: 'open',
  lastLineAt_ms: now_ms,
  arrivals: [],
  garbage: 0,
  batteryLow: false,
  trouble: null,
});

/**
 * Takes one line of the meter.
 * @param at_ms when it arrived, by the reader's clock
 * @returns the next state, and what was heard: a figure that counts, or that a bank begins to fill
 */
export function reduceMeterLine(
  before: Listening,
  line: string,
  at_ms: number,
): { next: Listening; heard: Heard | null } {
  const said = readLine(line);
  const arrivals = [...before.arrivals.filter((t) => at_ms - t < 100), at_ms];
  const base: Listening = { ...before, arrivals, lastLineAt_ms: at_ms };
  if (said.kind === 'remark') return { next: base, heard: null };
  if (said.kind === 'battery-low') return { next: { ...base, batteryLow: true }, heard: null };
  if (said.kind === 'garbage') {
    const garbage = before.garbage + 1;
    const trouble = garbage >= garbageLimit ? ('garbage' as const) : before.trouble;
    return { next: { ...base, garbage, trouble, window: [] }, heard: null };
  }
  if (arrivals.length > burst)
    // What was held up may be of an earlier touch: nothing of it counts, and the leads must be lifted.
    return { next: { ...base, garbage: 0, trouble: 'burst', window: [], armed: false }, heard: null };
  const clear: Listening = { ...base, garbage: 0, trouble: null };
  if (said.kind === 'open')
    return { next: { ...clear, window: [], armed: true, state: 'open' }, heard: null };
  return touch(clear, said.volts, at_ms);
}

function touch(before: Listening, volts: number, at_ms: number): { next: Listening; heard: Heard | null } {
  // One figure older than the window is kept, so that the window is known to be full.
  const all = [...before.window, { at_ms, volts }];
  const full = all.findLastIndex((f) => at_ms - f.at_ms >= steady_ms);
  const window = full < 0 ? all : all.slice(full);
  const next: Listening = { ...before, window };
  if (!before.armed || full < 0)
    return {
      next: {
        ...next,
        state: before.armed ? (next.state === 'climbing' ? 'climbing' : 'settling') : 'counted',
      },
      heard: null,
    };
  const figures = window.map((f) => f.volts);
  const spread = Math.max(...figures) - Math.min(...figures);
  if (spread <= steady_V)
    return { next: { ...next, armed: false, state: 'counted' }, heard: { kind: 'counted', volts } };
  const rising = figures.every((v, i) => i === 0 || v >= (figures[i - 1] ?? v));
  if (rising && volts - (figures[0] ?? volts) > climbing_V)
    return {
      next: { ...next, state: 'climbing' },
      heard: before.state === 'climbing' ? null : { kind: 'climbing', volts },
    };
  return { next: { ...next, state: 'settling' }, heard: null };
}

/** The same while nobody waits for a figure: what is touched now must be lifted before anything counts. */
export const ignoreUntilLifted = (now: Listening): Listening =>
  now.state === 'open' ? now : { ...now, window: [], armed: false, state: 'settling' };

/** Time has passed without a line. */
export const listenOn = (before: Listening, now_ms: number): Listening =>
  now_ms - before.lastLineAt_ms > silent_ms && before.trouble !== 'silent'
    ? { ...before, trouble: 'silent', window: [], armed: false, state: 'settling' }
    : before;

/** May the pedal confirm an overload now? Only while the meter is heard to be open. */
export const mayConfirmOpen = (now: Listening): boolean => now.state === 'open' && now.trouble === null;
