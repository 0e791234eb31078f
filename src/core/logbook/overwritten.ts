import type { Entry } from './entry';
import type { LogLine } from './log-line';
import type { EntryKind } from './payloads';

/** Kinds whose newest entry stands in the place of the one before it. */
const newestCounts: ReadonlySet<EntryKind> = new Set<EntryKind>([
  'take.call',
  'identify.drive',
  'identify.stage',
  'identify.motor',
  'decide.figures',
  'swap.units',
  'swap.asked',
  'stop.planned',
  'startup.choices',
  'startup.place',
  'power.planned',
]);

/**
 * What an entry overwrites that its maker's page did not have: two people, or two tablets, edited the same.
 * @param log up to the entry: its older part, and its newer
 * @returns null: nothing, or nobody knows what the page had
 */
export function overwrittenUnseen(
  [older, newer]: readonly [readonly LogLine[], readonly LogLine[]],
  entry: Entry,
): Entry | null {
  const { seen, kind } = entry;
  if (seen === undefined || !newestCounts.has(kind)) return null;
  for (let i = older.length + newer.length - 1; i >= 0; i -= 1) {
    const line = i < older.length ? older[i] : newer[i - older.length];
    const seq = line?.entry.seq;
    // Without a number it waits on the same device: its page had it.
    if (line === undefined || seq === undefined || seq <= seen) return null;
    const counts = line.void === null && line.correctedBy === null && line.entry.id !== entry.corrects;
    // Entries of one device follow each other, although the first was not recorded yet when the next was made.
    if (counts && line.entry.kind === kind && line.entry.by.id !== entry.by.id) return line.entry;
  }
  return null;
}
