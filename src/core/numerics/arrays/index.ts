/**
 * Reading arrays by number. The compiler cannot know that an index is inside an array, so each read
 * says how it is answered for. Rows are multiplied and added by `rowTimes`, `matrixTimes` and `addScaled`: an inner loop that
 * reads through a function took a sixth longer (measured on the waveform engine). Single values in a
 * kernel that computes its own indices are read with `valueAt` and its kin, which check nothing and give
 * `undefined`, and so NaN in the next sum, where an index is wrong; one function for each kind of array
 * keeps them quick. Everything else reads with `item`, which throws.
 */

/** A value of a vector or a row-by-row matrix. No bounds check: for kernels. */
export const valueAt = (values: Float64Array, i: number): number => values[i] as number;

/** The sum of `rows[from + j]`·`vector[j]` over the first `count`: a row of a matrix times a vector. */
export function rowTimes(rows: Float64Array, from: number, vector: Float64Array, count: number): number {
  let sum = 0;
  for (let j = 0; j < count; j += 1) sum += (rows[from + j] as number) * (vector[j] as number);
  return sum;
}

/** `matrix`·`vector` into another vector: its first `count` rows of `width`. The loop is written out: a call a row is felt. */
export function matrixTimes(
  matrix: Float64Array,
  vector: Float64Array,
  into: Float64Array,
  count: number,
  width: number,
): void {
  let from = 0;
  for (let i = 0; i < count; i += 1) {
    let sum = 0;
    for (let j = 0; j < width; j += 1) sum += (matrix[from + j] as number) * (vector[j] as number);
    into[i] = sum;
    from += width;
  }
}

/** Is every one of the first `count` values of `matrix`·`vector` at `least` or above? It stops at the first that is not. */
export function allAtLeast(
  matrix: Float64Array,
  vector: Float64Array,
  least: number,
  count: number,
  width: number,
): boolean {
  let from = 0;
  for (let i = 0; i < count; i += 1) {
    let sum = 0;
    for (let j = 0; j < width; j += 1) sum += (matrix[from + j] as number) * (vector[j] as number);
    if (sum < least) return false;
    from += width;
  }
  return true;
}

/** Adds `factor`·`from[start + j]` to `into[at + j]`, for the first `count`: a row of a matrix onto another. */
export function addScaled(
  into: Float64Array,
  at: number,
  factor: number,
  from: Float64Array,
  start: number,
  count: number,
): void {
  for (let j = 0; j < count; j += 1)
    into[at + j] = (into[at + j] as number) + factor * (from[start + j] as number);
}

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
 * A value that must be there by what was done before.
 * @throws RangeError where it is not
 */
export function present<T>(value: T | null | undefined): T {
  if (value === undefined || value === null) throw new RangeError('a value that must be there is missing');
  return value;
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
