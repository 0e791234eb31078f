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
]);

/** What the server records itself, because it does it: writes to drives. From a page it is taken as no entry. */
export const isRecordedByServer = (kind: EntryKind): boolean => kinds.has(kind);
