import { allBefore, inStop, jobsOf, staffed } from './order';
import type { PlannedTask, Task } from './task';
import { searchTimetable, timetable, type Elsewhere, type Timetable } from './timetable';
import { grainOf, longestChain } from './timetable-bound';
import { near } from './timetable-state';

/** Who does what when, so that the machine stands for the shortest time. */
export interface StopPlan {
  stop_min: number;
  total_min: number;
  /** When the machine stops, from the beginning of the work. */
  stopsAt_min: number;
  schedule: PlannedTask[];
  /** The stop is proven to be the shortest. */
  optimal: boolean;
  /** No plan stops the machine for less. */
  bound_min: number;
  /** With that stop, the work in all is proven to be the shortest. */
  totalOptimal: boolean;
  /** With that stop, no work in all is shorter. */
  totalBound_min: number;
}

/** Tasks that wait for each other, ask for one that is not there, have one id, or need more people than there are. */
export interface TaskTrouble {
  trouble: 'ring' | 'unknown' | 'twice' | 'people';
  ids: string[];
}

/** Why the tasks cannot be planned as they are; null: they can. */
export function taskTrouble(tasks: readonly Task[], people: number): TaskTrouble | null {
  const ids = tasks.map((t) => t.id);
  const twice = ids.filter((id, i) => ids.indexOf(id) !== i);
  if (twice.length > 0) return { trouble: 'twice', ids: twice };
  const unknown = tasks.flatMap((t) => t.after.filter((a) => !ids.includes(a)));
  if (unknown.length > 0) return { trouble: 'unknown', ids: unknown };
  const many = tasks.filter((t) => (t.people ?? 1) > people).map((t) => t.id);
  if (many.length > 0) return { trouble: 'people', ids: many };
  const before = allBefore(tasks);
  return Array.isArray(before) ? { trouble: 'ring', ids: before } : null;
}

/** So many moments for the beginning of the stop are tried, and so many states in all of them. */
const mostBeginnings = 400;
const mostStates = 5_000;
const statesEach = 2_000;

/** Tasks, what comes before each, and which of them are in the stop. */
interface Sorted {
  tasks: readonly Task[];
  before: ReadonlyMap<string, ReadonlySet<string>>;
  within: ReadonlySet<Task>;
  isBefore: (a: Task, b: Task) => boolean;
  people: number;
}

function sorted(tasks: readonly Task[], people: number): Sorted {
  const all = allBefore(tasks);
  const before = Array.isArray(all) ? new Map<string, Set<string>>() : all;
  const isBefore = (a: Task, b: Task): boolean => before.get(b.id)?.has(a.id) === true;
  const must = tasks.filter(inStop);
  const within = tasks.filter(
    (t) => inStop(t) || (must.some((m) => isBefore(m, t)) && must.some((m) => isBefore(t, m))),
  );
  return { tasks, before, within: new Set(within), isBefore, people };
}

/** What needs the machine stopped, and what is caught between two of those. @param tasks without trouble */
export const tasksOfStop = (tasks: readonly Task[]): ReadonlySet<Task> => sorted(tasks, 1).within;

const nothing: Timetable = { start: [], minutes: 0, bound: 0, exact: true };

const shortestOf = ({ before, people }: Sorted, some: readonly Task[]): Timetable =>
  timetable(jobsOf(some, before), people) ?? nothing;

/** The shortest stop alone. @param tasks without trouble (`taskTrouble`) @returns its minutes */
export function shortestStop(tasks: readonly Task[], people: number): number {
  const all = sorted(tasks, people);
  return shortestOf(all, [...all.within]).minutes;
}

/** When each task begins, and the stop. */
interface Placed {
  start_min: ReadonlyMap<string, number>;
  stopsAt_min: number;
  total_min: number;
}

const placedAs = (tasks: readonly Task[], { start, minutes }: Timetable, stopsAt_min: number): Placed => ({
  start_min: new Map(tasks.map((t, i) => [t.id, start[i] ?? 0])),
  stopsAt_min,
  total_min: minutes,
});

/** The shortest stop as early as its preparation allows, and the others around it as they fit. */
function stopFirst(all: Sorted, stop: Timetable): Placed {
  const { tasks, before, isBefore, people } = all;
  const within = [...all.within];
  const outside = tasks.filter((t) => !all.within.has(t));
  const preparing = outside.filter((t) => within.some((w) => isBefore(t, w)));
  const stopsAt_min = shortestOf(all, preparing).minutes;
  const begin = new Map(within.map((t, i) => [t.id, stopsAt_min + (stop.start[i] ?? 0)]));
  const [startOf, endOf] = [
    (t: Task) => begin.get(t.id) ?? 0,
    (t: Task) => (begin.get(t.id) ?? 0) + t.minutes,
  ];
  const busy = within.map((t): Elsewhere => ({ from: startOf(t), to: endOf(t), people: t.people ?? 1 }));
  const rest = timetable(
    jobsOf(outside, before, (t) => {
      const [earlier, later] = [within.filter((w) => isBefore(w, t)), within.filter((w) => isBefore(t, w))];
      return {
        from: Math.max(0, ...earlier.map(endOf)),
        ...(later.length === 0 ? {} : { by: Math.min(...later.map(startOf)) }),
      };
    }),
    people,
    busy,
  );
  outside.forEach((t, i) => begin.set(t.id, rest?.start[i] ?? 0));
  return { start_min: begin, stopsAt_min, total_min: Math.max(0, ...tasks.map(endOf)) };
}

/**
 * The shortest work in all with a stop of this length: for each moment at which the stop may begin, the shortest timetable with
 * its tasks held in it. In a shortest one every task begins as early as what is before it lets it, so these moments are multiples
 * of the durations' common measure.
 */
function aroundStop(
  all: Sorted,
  stop: Timetable,
): Placed & Pick<StopPlan, 'totalOptimal' | 'totalBound_min'> {
  const { tasks, before, within, isBefore, people } = all;
  const chainOf = (among: (t: Task) => boolean) => longestChain(jobsOf(tasks.filter(among), before));
  // A task before or after one of the stop may lie beside others of it: only chains count.
  const first = [...within].filter((w) => ![...within].some((v) => isBefore(v, w)));
  const earliest_min = Math.min(...first.map((w) => chainOf((t) => isBefore(t, w))));
  const inStop_min = Math.max(stop.minutes, ...first.map((w) => w.minutes + chainOf((t) => isBefore(w, t))));
  const whole = shortestOf(all, tasks);
  const least_min = whole.bound;
  if (first.length === 0)
    return { ...placedAs(tasks, whole, 0), totalOptimal: whole.exact, totalBound_min: whole.bound };
  const jobs = jobsOf(tasks, before);
  const grain = grainOf(jobs, []);
  let best = stopFirst(all, stop);
  const inside = tasks.map((t) => within.has(t));
  let states = 0;
  let exact = stop.exact;
  for (let k = 0; grain > 0; k += 1) {
    const at = (Math.ceil(earliest_min / grain - near) + k) * grain;
    if (Math.max(least_min, at + inStop_min) >= best.total_min - near) break;
    if (k >= mostBeginnings || states >= mostStates) {
      exact = false;
      break;
    }
    const held = jobs.map((job, i) =>
      inside[i] === true ? { ...job, from: at, by: at + stop.minutes } : job,
    );
    const search = searchTimetable(held, people, { mostStates: statesEach, below_min: best.total_min });
    states += search.states;
    exact &&= search.ended;
    if (search.found !== null) best = placedAs(tasks, search.found, at);
  }
  return {
    ...best,
    totalOptimal: exact,
    totalBound_min: exact ? best.total_min : Math.max(least_min, earliest_min + inStop_min),
  };
}

/**
 * The plan with the shortest stop, and then the shortest work in all. The stop is one window without a gap: what needs
 * the machine standing or isolated lies in it, and so does what is caught between two of those.
 * @param tasks without trouble (`taskTrouble`)
 * @param people how many are at hand
 */
export function stopPlan(tasks: readonly Task[], people: number): StopPlan {
  const all = sorted(tasks, people);
  const stop = shortestOf(all, [...all.within]);
  const { start_min, ...around } = aroundStop(all, stop);
  const schedule = staffed(
    tasks.map((t) => {
      const start = start_min.get(t.id) ?? 0;
      return { id: t.id, start_min: start, end_min: start + t.minutes };
    }),
    new Map(tasks.map((t) => [t.id, t.people ?? 1])),
  );
  return { ...around, stop_min: stop.minutes, schedule, optimal: stop.exact, bound_min: stop.bound };
}
