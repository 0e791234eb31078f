/**
 * Reading arrays by number. The compiler cannot know that an index is inside an array, so each read
 * says how it is answered for: kernels that compute their own indices read with `valueAt` and its kin,
 * which cost nothing (V8 inlines them, one function per kind of array keeps them quick) and give
 * `undefined`, and so NaN in the next sum, where an index is wrong; everything else reads with
 * `item`, which throws.
 */

/** A value of a vector or a row-by-row matrix. No bounds check: for kernels. */
export const valueAt = (values: Float64Array, i: number): number => values[i] as number;

/** A value of an index vector. No bounds check: for kernels. */
export const indexAt = (values: Int32Array, i: number): number => values[i] as number;

/** A value of a byte vector. No bounds check: for kernels. */
export const byteAt = (values: Uint8Array, i: number): number => values[i] as number;

/** A number of a plain list. No bounds check: for kernels. */
export const numberAt = (values: readonly number[], i: number): number => values[i] as number;

/**
 * An item of a list.
 * @throws RangeError where the list has no such item
 */
export function item<T extends object | string>(list: readonly T[], i: number): T {
  const found = list[i];
  if (found === undefined) throw new RangeError(`a list of ${list.length} has no item ${i}`);
  return found;
}

/**
 * The keys of a record that is written out in the code: of such an object the compiler knows all keys.
 * @throws RangeError where the record is empty
 */
export function keysOf<K extends string>(record: Readonly<Record<K, unknown>>): [K, ...K[]] {
  const keys = Object.keys(record) as K[];
  return [item(keys, 0), ...keys.slice(1)];
}

/** A record with one value for each key. */
export const recordOf = <K extends string, V>(keys: readonly K[], valueOf: (key: K) => V): Record<K, V> =>
  Object.fromEntries(keys.map((key) => [key, valueOf(key)])) as Record<K, V>;
