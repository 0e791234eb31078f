/** Both files of a drive type as they were written. */
export interface TypeData {
  type: unknown;
  control: unknown;
}

/** One version of a type of the workshop's own. */
export interface TypeVersion {
  version: number;
  /** What changed, or for which firmware it is, in the words of whoever saved it. */
  note: string;
  by: string;
  at: string;
}

/** A type for its editor, with its versions, newest first; one that ships has none, and cannot be saved. */
export interface EditedType extends TypeData {
  id: string;
  version: number;
  supplied: boolean;
  versions: TypeVersion[];
}
