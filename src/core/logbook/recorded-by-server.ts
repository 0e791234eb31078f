import type { EntryKind } from './payloads';

const kinds: ReadonlySet<EntryKind> = new Set<EntryKind>([
  'drive.write-asked',
  'drive.write-done',
  'drive.write-failed',
  'set.write-begun',
  'set.write-held',
  'set.write-resumed',
  'set.write-ended',
  'set.verified',
  'loose.attached',
  'loose.moved',
]);

/** What the server records itself, because it does it: writes to drives, entries moved from one log to another. From a page it is taken as no entry. */
export const isRecordedByServer = (kind: EntryKind): boolean => kinds.has(kind);
