import { allBefore, inStop } from './order';
import { shortestStop, tasksOfStop } from './plan';
import type { Task } from './task';

/** Something that would make the stop shorter, if it can be so. */
export interface Movable {
  id: string;
  /** `standing`: it need not stand for it; `between`: it waits for a task of the stop and need not. */
  why: 'standing' | 'between';
  saves_min: number;
  stop_min: number;
}

/**
 * What would shorten the stop by being done before or after it, the most first. Hands in it: never. A task that needs the machine
 * standing is tried as one that does not; one that is only caught in the stop, as one that waits for nothing in it.
 * @param tasks without trouble
 */
export function movable(tasks: readonly Task[], people: number): Movable[] {
  const before = allBefore(tasks);
  if (Array.isArray(before)) return [];
  const now_min = shortestStop(tasks, people);
  const within = tasksOfStop(tasks);
  const must = new Set(tasks.filter(inStop).map((t) => t.id));
  return tasks
    .flatMap((task): Movable[] => {
      if (task.needs.includes('isolated') || !within.has(task)) return [];
      const standing = must.has(task.id);
      const caught = [...(before.get(task.id) ?? [])].some((id) => must.has(id));
      if (!standing && !caught) return [];
      // What isolates is what the hands wait for: it stays where it is.
      if (
        standing &&
        tasks.some((t) => t.needs.includes('isolated') && before.get(t.id)?.has(task.id) === true)
      )
        return [];
      const moved: Task = { ...task, needs: [], after: task.after.filter((a) => !must.has(a)) };
      const others = tasks.map((t) =>
        t.id === task.id ? moved : { ...t, after: t.after.filter((a) => a !== task.id || !must.has(t.id)) },
      );
      // The others still wait for what it waited for.
      const kept = others.map((t) =>
        t.id !== task.id &&
        tasks.find((o) => o.id === t.id)?.after.includes(task.id) === true &&
        must.has(t.id)
          ? { ...t, after: [...new Set([...t.after, ...task.after.filter((a) => must.has(a))])] }
          : t,
      );
      const stop_min = shortestStop(kept, people);
      const saves_min = now_min - stop_min;
      return saves_min > 1e-9
        ? [{ id: task.id, why: standing ? 'standing' : 'between', saves_min, stop_min }]
        : [];
    })
    .sort((a, b) => b.saves_min - a.saves_min);
}
