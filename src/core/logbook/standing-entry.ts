import type { Entry, EntryOf } from './entry';
import type { JobState } from './job-state';
import type { EntryKind } from './payloads';

const isOf = <K extends EntryKind>(entry: Entry, kind: K): entry is EntryOf<K> => entry.kind === kind;

/** The newest entry of a kind that counts and was not corrected; null: there is none. An edit of what it says begins from it. */
export function standingEntry<K extends EntryKind>(
  { log }: Pick<JobState, 'log'>,
  kind: K,
): EntryOf<K> | null {
  for (let i = log.length - 1; i >= 0; i -= 1) {
    const line = log[i];
    if (line?.void === null && line.correctedBy === null && isOf(line.entry, kind)) return line.entry;
  }
  return null;
}
