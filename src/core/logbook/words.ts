import type { Entry } from './entry';
import { slices } from './job-state';

// Every kind has words in its slice, for entries of just that kind: the types of the slices see to it.
const wordsByKind = Object.assign({}, ...slices.map((slice) => slice.words)) as Readonly<
  Record<string, ((entry: Entry) => string) | undefined>
>;

/** An entry in a few words, for the log. */
export const entryWords = (entry: Entry): string => wordsByKind[entry.kind]?.(entry) ?? entry.kind;
