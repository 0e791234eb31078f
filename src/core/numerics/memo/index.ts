// Results that are computed once for each object that they follow from.

/**
 * A function that remembers its result for each object, as long as the object lives. Only for objects that never change, as
 * the parts of a folded job.
 */
export function onceFor<Key extends object, Result>(compute: (key: Key) => Result): (key: Key) => Result {
  const known = new WeakMap<Key, { result: Result }>();
  return (key) => {
    const before = known.get(key);
    if (before !== undefined) return before.result;
    const result = compute(key);
    known.set(key, { result });
    return result;
  };
}
