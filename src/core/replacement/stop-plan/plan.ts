import { allBefore, inStop, jobsOf, staffed } from './order';
import type { PlannedTask, Task } from './task';
import { timetable, type Elsewhere } from './timetable';

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

/**
 * The plan with the shortest stop, and then the shortest work in all. The stop is one window without a gap: what needs
 * the machine standing or isolated lies in it, and so does what is caught between two of those.
 * @param tasks without trouble (`taskTrouble`)
 * @param people how many are at hand
 */
export function stopPlan(tasks: readonly Task[], people: number): StopPlan {
  const all = allBefore(tasks);
  const before = Array.isArray(all) ? new Map<string, Set<string>>() : all;
  const isBefore = (a: Task, b: Task): boolean => before.get(b.id)?.has(a.id) === true;
  const must = tasks.filter(inStop);
  const within = tasks.filter(
    (t) => inStop(t) || (must.some((m) => isBefore(m, t)) && must.some((m) => isBefore(t, m))),
  );
  const outside = tasks.filter((t) => !within.includes(t));
  const preparing = outside.filter((t) => within.some((w) => isBefore(t, w)));
  const nothing = { start: [], minutes: 0, bound: 0, exact: true };
  const stop = timetable(jobsOf(within, before), people) ?? nothing;
  const stopsAt = timetable(jobsOf(preparing, before), people)?.minutes ?? 0;
  const placed = within.map((t, i) => {
    const start_min = stopsAt + (stop.start[i] ?? 0);
    return { id: t.id, start_min, end_min: start_min + t.minutes };
  });
  const busy = within.map((t, i): Elsewhere => ({
    from: placed[i]?.start_min ?? 0,
    to: placed[i]?.end_min ?? 0,
    people: t.people ?? 1,
  }));
  const ends = (t: Task): number[] =>
    within.flatMap((w, i) => (isBefore(w, t) ? [placed[i]?.end_min ?? 0] : []));
  const starts = (t: Task): number[] =>
    within.flatMap((w, i) => (isBefore(t, w) ? [placed[i]?.start_min ?? 0] : []));
  const rest = timetable(
    jobsOf(outside, before, (t) => ({
      from: Math.max(0, ...ends(t)),
      ...(starts(t).length === 0 ? {} : { by: Math.min(...starts(t)) }),
    })),
    people,
    busy,
  );
  const around = outside.map((t, i) => {
    const start_min = rest?.start[i] ?? 0;
    return { id: t.id, start_min, end_min: start_min + t.minutes };
  });
  const schedule = staffed([...placed, ...around], new Map(tasks.map((t) => [t.id, t.people ?? 1])));
  return {
    stop_min: stop.minutes,
    total_min: Math.max(0, ...schedule.map((s) => s.end_min)),
    stopsAt_min: stopsAt,
    schedule,
    optimal: stop.exact,
    bound_min: stop.bound,
  };
}
