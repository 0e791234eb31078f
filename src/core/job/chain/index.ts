// The hash chain of a log. It brings no digest of its own: server and command give theirs.
import canonicalize from 'canonicalize';
import type { Entry } from '../../logbook';

/** Hexadecimal SHA-256 of a text in UTF-8. */
export type Digest = (text: string) => string;

/** What stands in the place of a hash before the first entry. */
export const startHash = '0'.repeat(64);

/** An entry as the chain sees it: all that the log shows of it, without its hash. */
export type ChainedEntry = Omit<Entry, 'hash'>;

/**
 * Canonical JSON (RFC 8785) of what is hashed of an entry: id, job, kind, payload, what it corrects, the maker with name and role
 * as they were, its times in UTC with milliseconds, seq, version, the limits in force, and what the server verified.
 * @throws Error where a value has no JSON, as NaN
 */
export function chainText(entry: ChainedEntry): string {
  const { v, id, jobId, seq, at, kind, payload, corrects, by, receivedAt, limits, verified, seen } = entry;
  const { firstReceivedAt } = entry;
  const { id: byId, name, role } = by;
  const content = {
    v,
    id,
    jobId,
    seq,
    at,
    kind,
    payload,
    corrects,
    by: { id: byId, name, role },
    receivedAt,
    firstReceivedAt,
    limits,
    verified,
    seen,
  };
  const text = canonicalize(content);
  if (text === undefined) throw new Error('an entry has no canonical JSON');
  return text;
}

/** The hash of an entry: the digest of the hash before it, in hexadecimal, followed by its text. */
export const chainHash = (previous: string, entry: ChainedEntry, digest: Digest): string =>
  digest(previous + chainText(entry));

/** The first entry that is not as it was kept, and what is wrong with it. */
export interface ChainFault {
  seq: number;
  why: string;
}

/** How far a chain was walked: where to go on from. */
export interface ChainPosition {
  seq: number;
  hash: string;
}

/** Before the first entry. */
export const chainStart: ChainPosition = { seq: 0, hash: startHash };

/**
 * Walks a chain entry by entry.
 * @param entries of one job, in the order of their seq, following `from`
 * @returns where it ends, or the first entry that does not fit
 */
export function walkChain(
  entries: readonly Entry[],
  digest: Digest,
  from: ChainPosition = chainStart,
): { end: ChainPosition } | { fault: ChainFault } {
  let { seq, hash } = from;
  for (const entry of entries) {
    const expected = seq + 1;
    if (entry.seq !== expected)
      return { fault: { seq: expected, why: `entry ${expected} is missing or out of order` } };
    if (entry.hash === undefined) return { fault: { seq: expected, why: 'it has no hash' } };
    const own = chainHash(hash, entry, digest);
    if (own !== entry.hash)
      return {
        fault: { seq: expected, why: 'this entry or the one before it differs from what was recorded' },
      };
    seq = expected;
    hash = own;
  }
  return { end: { seq, hash } };
}
