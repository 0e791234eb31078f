// Jobs with durations, people and what comes before what: the shortest time for all of them.

export interface Job {
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

export interface Timetable {
  /** Start of each job, from zero. */
  start: number[];
  minutes: number;
  /** No timetable is shorter than this. */
  bound: number;
  /** Proven to be the shortest. */
  exact: boolean;
}

/** So many states are looked at before the best so far is taken. */
const mostStates = 60_000;
const near = 1e-9;

/** From the start of each job to the end of all, by what waits for it. */
function tailsOf(jobs: readonly Job[]): number[] {
  const waiting = jobs.map((_, i) => jobs.flatMap((j, k) => (j.after.includes(i) ? [k] : [])));
  const known: (number | undefined)[] = jobs.map(() => undefined);
  const tail = (i: number): number =>
    (known[i] ??= (jobs[i]?.minutes ?? 0) + Math.max(0, ...(waiting[i] ?? []).map(tail)));
  return jobs.map((_, i) => tail(i));
}

interface State {
  /** End of each job that was started; NaN: it was not. */
  ends: Float64Array;
  starts: Float64Array;
  /** No later job starts before this. */
  now: number;
  left: number;
}

/** The earliest start of a job, not before `now`, where what it waits for has ended and enough people are free; NaN: never. */
function earliest(
  jobs: readonly Job[],
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

/** What is left can never be done before this: the longest chain, the work shared out, and what needs everybody by itself. */
function boundOf(
  jobs: readonly Job[],
  tails: readonly number[],
  { ends, now }: State,
  people: number,
): number {
  let chain = now;
  let shared = 0;
  let alone = 0;
  for (let i = 0; i < jobs.length; i += 1) {
    const job = jobs[i];
    if (job === undefined) continue;
    const end = ends[i] ?? NaN;
    if (!Number.isNaN(end)) {
      if (end > chain) chain = end;
      shared += Math.max(0, end - now) * job.people;
      continue;
    }
    let ready = Math.max(now, job.from ?? 0);
    for (const a of job.after) ready = Math.max(ready, ends[a] ?? 0);
    chain = Math.max(chain, ready + (tails[i] ?? 0));
    if (2 * job.people > people) alone += job.minutes;
    shared += job.minutes * job.people;
  }
  return Math.max(chain, now + shared / people, now + alone);
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The step that every end falls on: whatever lies between two of them is no end. */
function grainOf(jobs: readonly Job[], elsewhere: readonly Elsewhere[]): number {
  const lengths = [
    ...jobs.flatMap((j) => [j.minutes, j.from ?? 0]),
    ...elsewhere.flatMap((e) => [e.from, e.to]),
  ].map((minutes) => Math.round(minutes * 1000));
  return lengths.reduce(gcd, 0) / 1000;
}

/**
 * The shortest timetable: branch and bound over the jobs in the order of their starts, where of two states with the same jobs
 * started the one that is never better is left out. Beyond a number of states the best so far is given, with the bound.
 * @param people at hand; every job needs that many at most
 * @param elsewhere when some of them are busy with what is settled
 * @returns null where no timetable keeps every `by`, or none was found
 */
export function timetable(
  jobs: readonly Job[],
  people: number,
  elsewhere: readonly Elsewhere[] = [],
): Timetable | null {
  const tails = tailsOf(jobs);
  const empty = () => new Float64Array(jobs.length).fill(NaN);
  const begin: State = { ends: empty(), starts: empty(), now: 0, left: jobs.length };
  const grain = grainOf(jobs, elsewhere);
  const raised = (least: number): number => (grain > 0 ? Math.ceil((least - near) / grain) * grain : least);
  const bound = raised(boundOf(jobs, tails, begin, people));
  let best: { starts: Float64Array; minutes: number } = { starts: begin.starts, minutes: Infinity };
  let states = 0;
  const seen = new Map<string, Float64Array[]>();
  /** Has a state with the same jobs started been seen that is never worse? */
  const dominated = ({ ends, now }: State): boolean => {
    let key = '';
    const mine = new Float64Array(jobs.length);
    for (let i = 0; i < jobs.length; i += 1) {
      const end = ends[i] ?? NaN;
      key += Number.isNaN(end) ? '0' : '1';
      mine[i] = Number.isNaN(end) || end < now ? now : end;
    }
    const atLeastAsGood = (a: Float64Array, b: Float64Array): boolean =>
      a.every((end, i) => end <= (b[i] ?? 0) + near);
    const others = seen.get(key) ?? [];
    if (others.some((o) => atLeastAsGood(o, mine))) return true;
    seen.set(key, [...others.filter((o) => !atLeastAsGood(mine, o)), mine]);
    return false;
  };
  const visit = (state: State): void => {
    if (best.minutes <= bound + near || states > mostStates) return;
    states += 1;
    if (state.left === 0) {
      const minutes = Math.max(0, ...state.ends);
      if (minutes < best.minutes - near) best = { starts: state.starts, minutes };
      return;
    }
    const next = jobs
      .flatMap((_, i) => {
        if (!Number.isNaN(state.ends[i] ?? NaN)) return [];
        const at = earliest(jobs, state, i, people, elsewhere);
        return Number.isNaN(at) ? [] : [{ i, at }];
      })
      // The longest way to the end first: a good timetable early leaves more out.
      .sort((a, b) => a.at - b.at || (tails[b.i] ?? 0) - (tails[a.i] ?? 0));
    for (const { i, at } of next) {
      const [ends, starts] = [state.ends.slice(), state.starts.slice()];
      starts[i] = at;
      ends[i] = at + (jobs[i]?.minutes ?? 0);
      const then: State = { ends, starts, now: at, left: state.left - 1 };
      if (raised(boundOf(jobs, tails, then, people)) >= best.minutes - near) continue;
      if (!dominated(then)) visit(then);
    }
  };
  visit(begin);
  if (best.minutes === Infinity) return null;
  const exact = states <= mostStates || best.minutes <= bound + near;
  return {
    start: [...best.starts],
    minutes: best.minutes,
    bound: exact ? best.minutes : bound,
    exact,
  };
}
