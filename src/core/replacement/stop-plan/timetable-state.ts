// A timetable half made: which tasks have begun, and when each of the others could.

/** A task of a timetable, with indexes in place of ids. */
export interface TimetableTask {
  /** From zero on; zero is a moment, and takes nobody. */
  minutes: number;
  /** How many of those at hand it needs at once. */
  people: number;
  /** Indexes of the jobs it waits for; never in a ring. */
  after: readonly number[];
  /** Not before, and over by; absent: whenever. */
  from?: number | undefined;
  by?: number | undefined;
}

/** People who are elsewhere for a while. */
export interface Elsewhere {
  from: number;
  to: number;
  people: number;
}

/** Times nearer than this are the same, minutes. */
export const near = 1e-9;

/** Some of the tasks begun. */
export interface State {
  /** End of each job that was started; NaN: it was not. */
  ends: Float64Array;
  starts: Float64Array;
  /** No later job starts before this. */
  now: number;
  left: number;
}

/** The earliest start of a job, not before `now`, where what it waits for has ended and enough people are free; NaN: never. */
function earliest(
  jobs: readonly TimetableTask[],
  { ends, starts, now }: State,
  i: number,
  people: number,
  elsewhere: readonly Elsewhere[],
): number {
  const job = jobs[i];
  if (job === undefined) return NaN;
  let ready = Math.max(now, job.from ?? 0);
  for (const a of job.after) {
    const end = ends[a] ?? NaN;
    if (Number.isNaN(end)) return NaN;
    if (end > ready) ready = end;
  }
  // Jobs start in the order of time, so whoever is at one now is only ever set free.
  const taken: Elsewhere[] = elsewhere.filter((t) => t.to > ready + near);
  jobs.forEach((other, k) => {
    const to = ends[k] ?? NaN;
    if (to > ready + near) taken.push({ from: starts[k] ?? 0, to, people: other.people });
  });
  const fits = (at: number): boolean => {
    if (job.minutes === 0) return true;
    const over = at + Math.max(job.minutes, near) - near;
    const during = taken.filter((t) => t.to > at + near && t.from < over);
    return [at, ...during.map((t) => t.from).filter((from) => from > at)].every((m) => {
      let busy = job.people;
      for (const t of during) if (t.from <= m + near && t.to > m + near) busy += t.people;
      return busy <= people;
    });
  };
  const times = [ready, ...taken.map((t) => t.to)].sort((x, y) => x - y);
  const at = times.find(fits) ?? NaN;
  return job.by !== undefined && at + job.minutes > job.by + near ? NaN : at;
}

/** Nothing begun. @param count of tasks */
export const nothingBegun = (count: number): State => {
  const empty = () => new Float64Array(count).fill(NaN);
  return { ends: empty(), starts: empty(), now: 0, left: count };
};

/** The state with task `i` begun as well. */
export function begun(jobs: readonly TimetableTask[], state: State, i: number, at: number): State {
  const [ends, starts] = [state.ends.slice(), state.starts.slice()];
  starts[i] = at;
  ends[i] = at + (jobs[i]?.minutes ?? 0);
  return { ends, starts, now: at, left: state.left - 1 };
}

/** Every task that can begin next, at its earliest. */
export const openTasks = (
  jobs: readonly TimetableTask[],
  state: State,
  people: number,
  elsewhere: readonly Elsewhere[],
): { i: number; at: number }[] =>
  jobs.flatMap((_, i) => {
    if (!Number.isNaN(state.ends[i] ?? NaN)) return [];
    const at = earliest(jobs, state, i, people, elsewhere);
    return Number.isNaN(at) ? [] : [{ i, at }];
  });

/** Of two states with the same tasks begun: is `b` never better than `a`? */
function never(a: State, b: State): boolean {
  if (a.now > b.now + near) return false;
  for (let i = 0; i < a.ends.length; i += 1) {
    const end = a.ends[i] ?? NaN;
    if (end > a.now && end > Math.max(b.ends[i] ?? NaN, b.now) + near) return false;
  }
  return true;
}

/** Which tasks have begun, as a key: sixteen to a character. */
function keyOf({ ends }: State): string {
  let key = '';
  for (let i = 0; i < ends.length; i += 16) {
    let bits = 0;
    for (let k = i; k < Math.min(ends.length, i + 16); k += 1)
      if (!Number.isNaN(ends[k] ?? NaN)) bits |= 1 << (k - i);
    key += String.fromCharCode(bits);
  }
  return key;
}

/** Remembers the states it is asked of. @returns was one with the same tasks begun seen that is never worse? */
export function dominance(): (state: State) => boolean {
  const seen = new Map<string, State[]>();
  return (state) => {
    const key = keyOf(state);
    const others = seen.get(key) ?? [];
    if (others.some((o) => never(o, state))) return true;
    seen.set(key, [...others.filter((o) => !never(state, o)), state]);
    return false;
  };
}
