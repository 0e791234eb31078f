import { identityOf, labelOf } from './form';
import { isList, isRecord, type Json } from './json';

/** One difference between two versions; undefined where one of them has nothing there. */
export interface Change {
  /** Where, in words: "Parameters, P1.03, Max". */
  where: string;
  before: Json | undefined;
  after: Json | undefined;
}

const keyed = (items: readonly Json[]): Map<string, Json> | null => {
  const keys = items.map(identityOf);
  return keys.includes(null) || new Set(keys).size < keys.length
    ? null
    : new Map(items.map((item) => [identityOf(item) ?? '', item]));
};

const inner = (where: string, name: string): string => (where === '' ? name : `${where}, ${name}`);

/** Everything that differs, from the outside in; items of a list are told by what names them, not by their place. */
export function changesBetween(before: Json | undefined, after: Json | undefined, where = ''): Change[] {
  if (before === after) return [];
  if (isRecord(before) && isRecord(after))
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
      changesBetween(before[key], after[key], inner(where, labelOf(key))),
    );
  if (isList(before) && isList(after)) {
    const [was, is] = [keyed(before), keyed(after)];
    if (was !== null && is !== null)
      return [...new Set([...was.keys(), ...is.keys()])].flatMap((key) =>
        changesBetween(was.get(key), is.get(key), inner(where, key)),
      );
  }
  return JSON.stringify(before) === JSON.stringify(after) ? [] : [{ where, before, after }];
}
