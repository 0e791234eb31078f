// Jobs with durations, people and what comes before what: the shortest time for all of them.
import { boundOf, raisedTo, shapeOf } from './timetable-bound';
import {
  begun,
  dominance,
  near,
  nothingBegun,
  openTasks,
  type Elsewhere,
  type State,
  type TimetableTask,
} from './timetable-state';

export type { Elsewhere, TimetableTask } from './timetable-state';

/** When each task begins, and whether that is proven to be the shortest. */
export interface Timetable {
  /** Start of each job, from zero. */
  start: number[];
  minutes: number;
  /** No timetable is shorter than this. */
  bound: number;
  /** Proven to be the shortest. */
  exact: boolean;
}

/** So many states are looked at, unless told otherwise, before the best so far is taken. */
const usualStates = 40_000;
/** So many quick timetables are made before the search, as long as none meets the bound. */
const tries = 60;

/** Numbers that look drawn and are the same every time (a linear congruence). */
function stirred(): () => number {
  let x = 12345;
  return () => {
    x = (x * 1103515245 + 12345) % 2147483648;
    return x / 2147483648;
  };
}

/**
 * A timetable at once: whatever can start first starts, the one with the longest way to the end before the others.
 * @param random from 0 to 1, drawn once for each task that could start
 * @param noise how much chance moves that order
 * @returns null where it ends with nothing that can start
 */
function greedy(
  tails: readonly number[],
  begin: State,
  open: (state: State) => { i: number; at: number; then: () => State }[],
  random: () => number,
  noise: number,
): State | null {
  let state = begin;
  while (state.left > 0) {
    const could = open(state);
    const first = Math.min(...could.map((c) => c.at));
    const [next] = could
      .filter((c) => c.at <= first + near)
      .map((c) => ({ ...c, weight: (tails[c.i] ?? 0) * (1 + noise * (random() - 0.5)) }))
      .sort((x, y) => y.weight - x.weight);
    if (next === undefined) return null;
    state = next.then();
  }
  return state;
}

/** What a search found: a timetable, or none; and whether it went to the end. */
export interface TimetableSearch {
  found: Timetable | null;
  /** All was looked at, or ruled out: where nothing was found, there is none. */
  ended: boolean;
  /** So many states were looked at. */
  states: number;
}

/** What a search keeps to. */
export interface SearchLimits {
  /** When some of the people are busy with what is settled. */
  elsewhere?: readonly Elsewhere[];
  /** So many states are looked at before the best so far is taken. */
  mostStates?: number;
  /** Only a timetable shorter than this is of use, minutes. */
  below_min?: number;
}

/**
 * The shortest timetable: branch and bound over the jobs in the order of their starts, where of two states with the same jobs
 * started the one that is never better is left out. Beyond a number of states the best so far is given, with the bound.
 * @param people at hand; every job needs that many at most
 */
export function searchTimetable(
  jobs: readonly TimetableTask[],
  people: number,
  { elsewhere = [], mostStates = usualStates, below_min = Infinity }: SearchLimits = {},
): TimetableSearch {
  const shape = shapeOf(jobs, people);
  const { tails } = shape;
  const begin = nothingBegun(jobs.length);
  const { grain, raised } = raisedTo(jobs, elsewhere);
  const bound = raised(boundOf(jobs, shape, begin, people));
  let best: { starts: Float64Array; minutes: number } = { starts: begin.starts, minutes: below_min };
  let states = 0;
  const open = (state: State) =>
    openTasks(jobs, state, people, elsewhere).map(({ i, at }) => ({
      i,
      at,
      then: () => begun(jobs, state, i, at),
    }));
  const take = (state: State): void => {
    const minutes = Math.max(0, ...state.ends);
    if (minutes < best.minutes - near) best = { starts: state.starts, minutes };
  };
  const random = stirred();
  for (let k = 0; k < tries && best.minutes > bound + near; k += 1) {
    const quick = greedy(tails, begin, open, random, k === 0 ? 0 : 0.2 + (k % 5) * 0.4);
    if (quick !== null) take(quick);
  }
  const dominated = dominance();
  const visit = (state: State): void => {
    if (best.minutes <= bound + near || states > mostStates) return;
    states += 1;
    if (state.left === 0) {
      take(state);
      return;
    }
    const next = open(state)
      .map(({ i, at, then }) => {
        const after = then();
        return {
          after,
          at,
          least: raised(boundOf(jobs, shape, after, people, best.minutes - grain + near)),
          tail: tails[i] ?? 0,
        };
      })
      .filter((n) => n.least < best.minutes - near)
      // The most promising first: a good timetable early leaves more out.
      .sort((a, b) => a.least - b.least || a.at - b.at || b.tail - a.tail);
    for (const { after, least } of next) {
      if (least >= best.minutes - near) continue;
      if (!dominated(after)) visit(after);
    }
  };
  visit(begin);
  const ended = states <= mostStates || best.minutes <= bound + near;
  if (best.starts === begin.starts) return { found: null, ended, states };
  const found = {
    start: [...best.starts],
    minutes: best.minutes,
    bound: ended ? best.minutes : bound,
    exact: ended,
  };
  return { found, ended, states };
}

/** The same, for what is found: null where no timetable keeps every `by`, or none was found. */
export const timetable = (
  jobs: readonly TimetableTask[],
  people: number,
  elsewhere: readonly Elsewhere[] = [],
): Timetable | null => searchTimetable(jobs, people, { elsewhere }).found;
