import type { PlannedTask, Task } from './task';
import type { TimetableTask } from './timetable';

/** Hands in it, or the machine standing: never outside of the stop. */
export const inStop = ({ needs }: Task): boolean => needs.includes('stop') || needs.includes('isolated');

/** For each task all that must be over before it, however far back; null where tasks wait for each other in a ring. */
export function allBefore(tasks: readonly Task[]): Map<string, Set<string>> | string[] {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const before = new Map<string, Set<string>>();
  const under = new Set<string>();
  const ring: string[] = [];
  const visit = (id: string): Set<string> => {
    const known = before.get(id);
    if (known !== undefined) return known;
    if (under.has(id)) {
      ring.push(id);
      return new Set();
    }
    under.add(id);
    const all = new Set<string>();
    for (const a of byId.get(id)?.after ?? []) {
      all.add(a);
      for (const more of visit(a)) all.add(more);
    }
    under.delete(id);
    before.set(id, all);
    return all;
  };
  tasks.forEach((t) => visit(t.id));
  return ring.length > 0 ? ring : before;
}

/** Some tasks as jobs that wait for each other, through whatever is between them. */
export const jobsOf = (
  some: readonly Task[],
  before: ReadonlyMap<string, ReadonlySet<string>>,
  limits: (t: Task) => Pick<TimetableTask, 'from' | 'by'> = () => ({}),
): TimetableTask[] =>
  some.map((t) => ({
    minutes: t.minutes,
    people: t.people ?? 1,
    after: some.flatMap((other, k) => (before.get(t.id)?.has(other.id) === true ? [k] : [])),
    ...limits(t),
  }));

/** Names to each task: whoever is free, the lowest number first. */
export function staffed(
  planned: readonly Omit<PlannedTask, 'people'>[],
  needs: ReadonlyMap<string, number>,
): PlannedTask[] {
  const freeAt: number[] = [];
  return [...planned]
    .sort((a, b) => a.start_min - b.start_min || a.end_min - b.end_min)
    .map((task) => {
      const people: number[] = [];
      // A moment takes nobody's time.
      const wanted = task.end_min > task.start_min ? (needs.get(task.id) ?? 1) : 0;
      for (let who = 0; people.length < wanted; who += 1) {
        if ((freeAt[who] ?? 0) > task.start_min + 1e-9) continue;
        people.push(who + 1);
        freeAt[who] = task.end_min;
      }
      return { ...task, people };
    });
}
