import type { Json, Path, Schema } from '@/core/equipment/type-edit';

/** What every part of the form needs: the value of the whole file, its schema, and what is wrong where. */
export interface Editing {
  root: Schema;
  whole: Json;
  /** By place, e.g. "parameters.3.max". */
  problems: ReadonlyMap<string, string>;
  /** Undefined takes the field or the item away. */
  set: (path: Path, next: Json | undefined) => void;
}

/** A place in a file, with its schema and its name. */
export interface NodeProps {
  editing: Editing;
  schema: Schema;
  path: Path;
  label: string;
}

/** Is anything wrong here or further in? */
export const isTroubled = ({ problems }: Editing, path: Path): boolean => {
  const place = path.join('.');
  return [...problems.keys()].some((at) => at === place || at.startsWith(`${place}.`));
};
