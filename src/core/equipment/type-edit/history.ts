/** What was before, what is, and what was undone: newest last in both lists. */
export interface History<T> {
  past: readonly T[];
  now: T;
  future: readonly T[];
}

/** Steps that can be undone. */
const longest = 200;

/** A history that begins. */
export const begun = <T>(now: T): History<T> => ({ past: [], now, future: [] });

/** The next state; what was undone before is gone. The same state again is no step. */
export const changed = <T>({ past, now }: History<T>, next: T): History<T> =>
  next === now ? { past, now, future: [] } : { past: [...past, now].slice(-longest), now: next, future: [] };

/** One step back; at the beginning it stays. */
export function undone<T>(history: History<T>): History<T> {
  const before = history.past.at(-1);
  return before === undefined
    ? history
    : { past: history.past.slice(0, -1), now: before, future: [...history.future, history.now] };
}

/** One step forth again; at the end it stays. */
export function redone<T>(history: History<T>): History<T> {
  const after = history.future.at(-1);
  return after === undefined
    ? history
    : { past: [...history.past, history.now], now: after, future: history.future.slice(0, -1) };
}
