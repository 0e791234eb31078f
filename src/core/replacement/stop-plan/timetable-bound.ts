// What a timetable half made can never be shorter than.
import { near, type Elsewhere, type State, type TimetableTask } from './timetable-state';

/** From the start of each job to the end of all, by what waits for it. */
function tailsOf(jobs: readonly TimetableTask[]): number[] {
  const waiting = jobs.map((_, i) => jobs.flatMap((j, k) => (j.after.includes(i) ? [k] : [])));
  const known: (number | undefined)[] = jobs.map(() => undefined);
  const tail = (i: number): number =>
    (known[i] ??= (jobs[i]?.minutes ?? 0) + Math.max(0, ...(waiting[i] ?? []).map(tail)));
  return jobs.map((_, i) => tail(i));
}

/** The longest chain of jobs that wait for each other, minutes. */
export const longestChain = (jobs: readonly TimetableTask[]): number => Math.max(0, ...tailsOf(jobs));

/** What holds of the jobs whatever was started: their tails, and who keeps everybody busy. */
export interface Shape {
  tails: readonly number[];
  /** The same without the minutes of jobs that take everybody. */
  sharedTails: readonly number[];
  /** Jobs in an order in which each comes after what it waits for. */
  order: readonly number[];
  everybody: readonly boolean[];
}

/** Worked out once for all states. */
export function shapeOf(jobs: readonly TimetableTask[], people: number): Shape {
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
export function boundOf(
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

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The step that every end falls on: whatever lies between two of them is no end. */
export function grainOf(jobs: readonly TimetableTask[], elsewhere: readonly Elsewhere[]): number {
  const lengths = [
    ...jobs.flatMap((j) => [j.minutes, j.from ?? 0]),
    ...elsewhere.flatMap((e) => [e.from, e.to]),
  ].map((minutes) => Math.round(minutes * 1000));
  return lengths.reduce(gcd, 0) / 1000;
}

/** Raises a bound to the next moment at which anything can end. */
export function raisedTo(
  jobs: readonly TimetableTask[],
  elsewhere: readonly Elsewhere[],
): { grain: number; raised: (least: number) => number } {
  const grain = grainOf(jobs, elsewhere);
  return {
    grain,
    raised: (least) => (grain > 0 ? Math.ceil((least - near) / grain) * grain : least),
  };
}
