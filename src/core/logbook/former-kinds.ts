import type { EntryKind } from './payloads';

const kinds: ReadonlySet<EntryKind> = new Set<EntryKind>(['safety.meter']);

/** A kind that only earlier versions made: what is in the log is read by the rules of then, and nothing is added. */
export const isFormerKind = (kind: EntryKind): boolean => kinds.has(kind);
