// Jobs with durations, people and what comes before what: the shortest time for all of them.

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

/** So many states are looked at before the best so far is taken. */
const mostStates = 40_000;
/** So many quick timetables are made before the search, as long as none meets the bound. */
const tries = 60;
const near = 1e-9;

/** From the start of each job to the end of all, by what waits for it. */
function tailsOf(jobs: readonly TimetableTask[]): number[] {
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

/** What holds of the jobs whatever was started: their tails, and who keeps everybody busy. */
interface Shape {
  tails: readonly number[];
  /** The same without the minutes of jobs that take everybody. */
  sharedTails: readonly number[];
  /** Jobs in an order in which each comes after what it waits for. */
  order: readonly number[];
  everybody: readonly boolean[];
}

function shapeOf(jobs: readonly TimetableTask[], people: number): Shape {
  const everybody = jobs.map((j) => j.people >= people);
  const order: number[] = [];
  const seen = new Set<number>();
  const visit = (i: number): void => {
    if (seen.has(i)) return;
    seen.add(i);
    jobs[i]?.after.forEach(visit);
    order.push(i);
  };
  jobs.forEach((_, i) => visit(i));
  const shared = jobs.map((j, i) => (everybody[i] === true ? { ...j, minutes: 0 } : j));
  return { tails: tailsOf(jobs), sharedTails: tailsOf(shared), order, everybody };
}

/**
 * What is left can never be done before this: the longest chain; the work shared out, also of those alone that cannot start before
 * a moment and have so much after them; and what takes everybody on top of the rest.
 * @param enough above this it need not be any sharper
 */
function boundOf(
  jobs: readonly TimetableTask[],
  { tails, sharedTails, order, everybody }: Shape,
  { ends, now }: State,
  people: number,
  enough = Infinity,
): number {
  let least = now;
  let work = 0;
  let all = 0;
  let alone = 0;
  let sharedChain = 0;
  const ready = new Float64Array(jobs.length);
  const left: number[] = [];
  for (const i of order) {
    const job = jobs[i];
    if (job === undefined) continue;
    const end = ends[i] ?? NaN;
    if (!Number.isNaN(end)) {
      ready[i] = end - job.minutes;
      if (end > least) least = end;
      work += Math.max(0, end - now) * job.people;
      continue;
    }
    let from = Math.max(now, job.from ?? 0);
    for (const a of job.after) {
      const before = (ready[a] ?? 0) + (jobs[a]?.minutes ?? 0);
      if (before > from) from = before;
    }
    ready[i] = from;
    left.push(i);
    const tail = tails[i] ?? 0;
    if (from + tail > least) least = from + tail;
    if (everybody[i] === true) all += job.minutes;
    else {
      work += job.minutes * job.people;
      const chain = sharedTails[i] ?? 0;
      if (chain > sharedChain) sharedChain = chain;
    }
    if (2 * job.people > people) alone += job.minutes;
  }
  least = Math.max(least, now + all + work / people, now + all + sharedChain, now + alone);
  // The rest costs more, and may not be needed.
  if (least > enough) return least;
  left.sort((x, y) => (ready[y] ?? 0) - (ready[x] ?? 0));
  for (const b of left) {
    const after = (tails[b] ?? 0) - (jobs[b]?.minutes ?? 0);
    let sum = 0;
    for (const i of left) {
      const job = jobs[i];
      if (job === undefined || (tails[i] ?? 0) - job.minutes < after) continue;
      sum += job.minutes * Math.min(job.people, people);
      const bound = (ready[i] ?? 0) + sum / people + after;
      if (bound > least) least = bound;
    }
  }
  return least;
}

/** Numbers that look drawn and are the same every time (a linear congruence). */
function stirred(): () => number {
  let x = 12345;
  return () => {
    x = (x * 1103515245 + 12345) % 2147483648;
    return x / 2147483648;
  };
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The step that every end falls on: whatever lies between two of them is no end. */
function grainOf(jobs: readonly TimetableTask[], elsewhere: readonly Elsewhere[]): number {
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
  jobs: readonly TimetableTask[],
  people: number,
  elsewhere: readonly Elsewhere[] = [],
): Timetable | null {
  const shape = shapeOf(jobs, people);
  const { tails } = shape;
  const empty = () => new Float64Array(jobs.length).fill(NaN);
  const begin: State = { ends: empty(), starts: empty(), now: 0, left: jobs.length };
  const grain = grainOf(jobs, elsewhere);
  const raised = (least: number): number => (grain > 0 ? Math.ceil((least - near) / grain) * grain : least);
  const bound = raised(boundOf(jobs, shape, begin, people));
  let best: { starts: Float64Array; minutes: number } = { starts: begin.starts, minutes: Infinity };
  let states = 0;
  const started = (state: State, i: number, at: number): State => {
    const [ends, starts] = [state.ends.slice(), state.starts.slice()];
    starts[i] = at;
    ends[i] = at + (jobs[i]?.minutes ?? 0);
    return { ends, starts, now: at, left: state.left - 1 };
  };
  const open = (state: State): { i: number; at: number }[] =>
    jobs.flatMap((_, i) => {
      if (!Number.isNaN(state.ends[i] ?? NaN)) return [];
      const at = earliest(jobs, state, i, people, elsewhere);
      return Number.isNaN(at) ? [] : [{ i, at }];
    });
  const take = (state: State): void => {
    const minutes = Math.max(0, ...state.ends);
    if (minutes < best.minutes - near) best = { starts: state.starts, minutes };
  };
  const random = stirred();
  /** Whatever can start first starts, the one with the longest way to the end before the others, a little at random. */
  const greedy = (noise: number): void => {
    let state = begin;
    while (state.left > 0) {
      const could = open(state);
      const first = Math.min(...could.map((c) => c.at));
      const weighed = could
        .filter((c) => c.at <= first + near)
        .map((c) => ({ ...c, weight: (tails[c.i] ?? 0) * (1 + noise * (random() - 0.5)) }))
        .sort((x, y) => y.weight - x.weight);
      const [next] = weighed;
      if (next === undefined) return;
      state = started(state, next.i, next.at);
    }
    take(state);
  };
  for (let k = 0; k < tries && best.minutes > bound + near; k += 1) greedy(k === 0 ? 0 : 0.2 + (k % 5) * 0.4);
  const seen = new Map<string, State[]>();
  const never = (a: State, b: State): boolean => {
    if (a.now > b.now + near) return false;
    for (let i = 0; i < jobs.length; i += 1) {
      const end = a.ends[i] ?? NaN;
      if (end > a.now && end > Math.max(b.ends[i] ?? NaN, b.now) + near) return false;
    }
    return true;
  };
  /** Has a state with the same jobs started been seen that is never worse? */
  const dominated = (state: State): boolean => {
    let key = '';
    for (let i = 0; i < jobs.length; i += 16) {
      let bits = 0;
      for (let k = i; k < Math.min(jobs.length, i + 16); k += 1)
        if (!Number.isNaN(state.ends[k] ?? NaN)) bits |= 1 << (k - i);
      key += String.fromCharCode(bits);
    }
    const others = seen.get(key);
    if (others === undefined) {
      seen.set(key, [state]);
      return false;
    }
    if (others.some((o) => never(o, state))) return true;
    seen.set(key, [...others.filter((o) => !never(state, o)), state]);
    return false;
  };
  const visit = (state: State): void => {
    if (best.minutes <= bound + near || states > mostStates) return;
    states += 1;
    if (state.left === 0) {
      take(state);
      return;
    }
    const next = open(state)
      .map(({ i, at }) => {
        const then = started(state, i, at);
        return {
          then,
          at,
          least: raised(boundOf(jobs, shape, then, people, best.minutes - grain + near)),
          tail: tails[i] ?? 0,
        };
      })
      .filter((n) => n.least < best.minutes - near)
      // The most promising first: a good timetable early leaves more out.
      .sort((a, b) => a.least - b.least || a.at - b.at || b.tail - a.tail);
    for (const { then, least } of next) {
      if (least >= best.minutes - near) continue;
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
