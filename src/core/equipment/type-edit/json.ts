/** A value as JSON writes it. */
export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };
/** A JSON object. */
export type JsonRecord = { readonly [key: string]: Json };
/** A place in a JSON value: keys and indices from the outside in. */
export type Path = readonly (string | number)[];

/** Is it an object with keys? */
export const isRecord = (value: Json | undefined): value is JsonRecord =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Is it a list? (`Array.isArray` does not know read-only lists.) */
export const isList = (value: Json | undefined): value is readonly Json[] => Array.isArray(value);

/** What stands at a place; undefined where nothing does. */
export function valueAt(value: Json | undefined, path: Path): Json | undefined {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (isList(value)) return typeof key === 'number' ? valueAt(value[key], rest) : undefined;
  return isRecord(value) && Object.hasOwn(value, key) ? valueAt(value[key], rest) : undefined;
}

/**
 * The value with another at a place; what is not on the way stays the same object.
 * @param next undefined takes the key or the item away
 * @throws RangeError where the place leads through something that is neither a list nor a record
 */
export function withValue(value: Json | undefined, path: Path, next: Json | undefined): Json | undefined {
  const [key, ...rest] = path;
  if (key === undefined) return next;
  if (isList(value) && typeof key === 'number') {
    const inner = withValue(value[key], rest, next);
    const items = [...value];
    if (inner === undefined) items.splice(key, 1);
    else items[key] = inner;
    return items;
  }
  if (!(value === undefined || isRecord(value)) || typeof key === 'number')
    throw new RangeError(`no place ${path.join('.')} in ${JSON.stringify(value)}`);
  const inner = withValue(value?.[key], rest, next);
  const { [key]: _before, ...others } = value ?? {};
  if (inner === undefined) return others;
  // A key that was there keeps its place among the others.
  return value !== undefined && Object.hasOwn(value, key)
    ? Object.fromEntries(Object.entries(value).map(([k, v]) => [k, k === key ? inner : v]))
    : { ...others, [key]: inner };
}
