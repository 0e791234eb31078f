import { allBefore, inStop, jobsOf, staffed } from './order';
import type { PlannedTask, Task } from './task';
import { timetable, type Elsewhere } from './timetable';

/** How far a task is, in minutes from any one beginning; null: not yet. */
export interface Progress {
  begun_min: number | null;
  done_min: number | null;
}

/** What is left of a stop that is under way. */
export interface StopNow {
  /** Minutes from that beginning when the machine can run again; null: nothing of the stop is left. */
  stopEnds_min: number | null;
  /** No order of what is left ends it sooner. */
  bound_min: number | null;
  optimal: boolean;
  /** What is left, from now on; what is under way first. */
  schedule: PlannedTask[];
  /** What can be begun now: everything before it is done, and people are free for it by the plan. */
  ready: string[];
}

/** A task that takes longer than planned is taken to need this much more, minutes. */
const leastLeft_min = 1;

/**
 * The rest of a stop that is under way: what is done stays done, what was begun goes on with whoever is at it, and the rest is put
 * so that the machine stands no longer than it must from now.
 * @param now_min on the clock of the progress
 */
export function goingOn(
  tasks: readonly Task[],
  people: number,
  progress: Readonly<Record<string, Progress>>,
  now_min: number,
): StopNow {
  const state = (t: Task): Progress => progress[t.id] ?? { begun_min: null, done_min: null };
  const open = tasks.filter((t) => state(t).done_min === null);
  const openIds = new Set(open.map((t) => t.id));
  const left = open.map((t) => ({ ...t, after: t.after.filter((a) => openIds.has(a)) }));
  const running = left.flatMap((t) => {
    const { begun_min } = state(t);
    return begun_min === null
      ? []
      : [{ task: t, left_min: Math.max(leastLeft_min, Math.ceil(t.minutes - (now_min - begun_min) - 1e-9)) }];
  });
  const endOf = new Map(running.map((r) => [r.task.id, r.left_min]));
  const waiting = left.filter((t) => !endOf.has(t.id));
  const all = allBefore(left);
  const before = Array.isArray(all) ? new Map<string, Set<string>>() : all;
  const isBefore = (a: Task, b: Task): boolean => before.get(b.id)?.has(a.id) === true;
  const must = left.filter(inStop);
  const within = waiting.filter((t) => inStop(t) || must.some((m) => isBefore(t, m)));
  const outside = waiting.filter((t) => !within.includes(t));
  const busy = running.map((r): Elsewhere => ({ from: 0, to: r.left_min, people: r.task.people ?? 1 }));
  const afterRunning = (t: Task) => ({
    from: Math.max(0, ...running.flatMap((r) => (isBefore(r.task, t) ? [r.left_min] : []))),
  });
  const stop = timetable(jobsOf(within, before, afterRunning), people, busy);
  const placed = within.map((t, i) => {
    const start_min = stop?.start[i] ?? 0;
    return { id: t.id, start_min, end_min: start_min + t.minutes };
  });
  const later = timetable(
    jobsOf(outside, before, (t) => ({
      from: Math.max(
        afterRunning(t).from,
        ...within.flatMap((w, i) => (isBefore(w, t) ? [placed[i]?.end_min ?? 0] : [])),
      ),
    })),
    people,
    [
      ...busy,
      ...within.map((t, i): Elsewhere => ({
        from: placed[i]?.start_min ?? 0,
        to: placed[i]?.end_min ?? 0,
        people: t.people ?? 1,
      })),
    ],
  );
  const rest = outside.map((t, i) => {
    const start_min = later?.start[i] ?? 0;
    return { id: t.id, start_min, end_min: start_min + t.minutes };
  });
  const going = running.map((r) => ({ id: r.task.id, start_min: 0, end_min: r.left_min }));
  const schedule = staffed([...going, ...placed, ...rest], new Map(left.map((t) => [t.id, t.people ?? 1])));
  const ends = schedule.filter((s) => must.some((m) => m.id === s.id)).map((s) => s.end_min);
  const runningStop = running.filter((r) => inStop(r.task)).map((r) => r.left_min);
  const stopEnds = ends.length === 0 ? null : now_min + Math.max(...ends);
  return {
    stopEnds_min: stopEnds,
    bound_min: stopEnds === null ? null : now_min + Math.max(0, ...runningStop, stop?.bound ?? 0),
    optimal: stop?.exact ?? true,
    schedule: schedule.map((s) => ({ ...s, start_min: s.start_min + now_min, end_min: s.end_min + now_min })),
    ready: waiting
      .filter((t) => t.after.length === 0)
      .filter((t) => schedule.some((s) => s.id === t.id && s.start_min < 1e-9))
      .map((t) => t.id),
  };
}
