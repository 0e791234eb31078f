import type { Limits } from '../bench/make-safe';
import type { EntryKind, Payload } from './payloads';
import type { Verified } from './verified';

/** What a person may do: an apprentice measures, a technician signs, the lead also keeps the shop's settings. */
export type Role = 'technician' | 'lead' | 'apprentice';

/** Who made an entry, with the name and role of that moment. */
export interface Person {
  id: string;
  name: string;
  role: Role;
}

/** Something that happened in a job. What the server adds is absent until it has kept the entry. */
export type Entry = {
  [K in EntryKind]: {
    v: number;
    /** UUIDv7, made where the entry was made: sending twice is harmless. */
    id: string;
    jobId: string;
    /** The maker's clock; for display only. */
    at: string;
    kind: K;
    payload: Payload<K>;
    /** The entry that this one puts right; both stay. */
    corrects?: string | undefined;
    /** The newest entry of the server that its maker's page had: the version that an edit began from. */
    seen?: number | undefined;
    by: Person;
    /** Server's order within the job, and its clock. */
    seq?: number;
    receivedAt?: string;
    /** When the server first received it, where it was moved here from a loose sheet later. */
    firstReceivedAt?: string | undefined;
    /** The site's limits when the server kept it; entries of earlier versions have none. */
    limits?: Limits | undefined;
    /** Of a signature; those of earlier versions have none. */
    verified?: Verified | undefined;
    /** Hexadecimal SHA-256 that chains it to the entry before it (`chain`). */
    hash?: string | undefined;
  };
}[EntryKind];

type ServerPart = 'by' | 'seq' | 'receivedAt' | 'firstReceivedAt' | 'limits' | 'verified' | 'hash';
/** An entry as a client sends it: without what the server adds. */
type Unkept<E> = E extends Entry ? Omit<E, ServerPart> : never;
/** An entry as a client sends it, without what the server adds. */
export type NewEntry = Unkept<Entry>;

/** What every entry has beside its kind and payload. */
export type Envelope = Omit<Entry, 'kind' | 'payload'>;

/** An entry of a kind with its payload: they belong together by the signature, which a union of all kinds cannot say. */
export const makeEntry = <K extends EntryKind>(envelope: Envelope, kind: K, payload: Payload<K>): Entry =>
  ({ ...envelope, kind, payload }) as unknown as Entry;

/** An entry from where it was kept, or from an archive: the schema of its kind has passed its payload. */
export const keptEntry = (envelope: Envelope, kind: EntryKind, payload: unknown): Entry =>
  ({ ...envelope, kind, payload }) as Entry;

/** An entry without what the server adds. */
export const withoutServerParts = ({
  by: _by,
  seq: _seq,
  receivedAt: _at,
  firstReceivedAt: _first,
  limits: _limits,
  verified: _verified,
  hash: _hash,
  ...entry
}: Entry): NewEntry => entry;

/** The same without what the server adds. */
export const makeNewEntry = <K extends EntryKind>(
  envelope: Omit<Envelope, ServerPart>,
  kind: K,
  payload: Payload<K>,
): NewEntry => ({ ...envelope, kind, payload }) as unknown as NewEntry;

/** An entry of one kind, or of some. */
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;

/** When an entry counts as made: by the server's clock once it has it. */
export const timeOf = (entry: Entry): number => Date.parse(timeTextOf(entry));

/** The same as text: ISO 8601 in UTC. */
export const timeTextOf = ({
  at,
  receivedAt = at,
  firstReceivedAt = receivedAt,
}: Pick<Entry, 'at' | 'receivedAt' | 'firstReceivedAt'>): string => firstReceivedAt;

/** Kept entries in the server's order, then the unsent ones in the order they were made. */
export function inOrder(entries: readonly Entry[]): Entry[] {
  // As the server sends them: sorting thousands for nothing is felt.
  if (entries.every((e, i) => e.seq !== undefined && (i === 0 || e.seq > (entries[i - 1]?.seq ?? Infinity))))
    return [...entries];
  const byId = new Map<string, Entry>();
  for (const entry of entries)
    if ((byId.get(entry.id)?.seq ?? undefined) === undefined) byId.set(entry.id, entry);
  const rank = (e: Entry): number => e.seq ?? Infinity;
  return [...byId.values()].sort((a, b) =>
    rank(a) === rank(b) ? (a.id < b.id ? -1 : 1) : rank(a) - rank(b),
  );
}
