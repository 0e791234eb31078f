import type { EntryKind } from './payloads';

/**
 * The version of the entries that this program makes. It grows when a rule comes that a kind had not obeyed before: what is in
 * the log is read by the rules of then.
 */
export const newestVersion = 2;

/** Kinds with a rule that came with a version. */
const ruledSince: Partial<Readonly<Record<EntryKind, number>>> = {
  'stop.task': 2,
  'wire.ticked': 2,
  'swap.unit-out': 2,
};

/** The least version that an entry of this kind may be added with today. */
export const leastVersion = (kind: EntryKind): number => ruledSince[kind] ?? 1;

/** Was it made under the rules of today? */
export const isOfToday = ({ kind, v }: { kind: EntryKind; v: number }): boolean => v >= leastVersion(kind);
