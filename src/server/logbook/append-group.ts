import { isDeepStrictEqual } from 'node:util';
import type { Transaction } from 'sequelize';
import { chainHash } from '../../core/job/chain';
import {
  extend,
  isLoose,
  isLooseKind,
  isSignature,
  type Entry,
  type JobState,
  type NewEntry,
  type Person,
  type Verified,
} from '../../core/logbook';
import { db } from '../database/connection';
import { sha256 } from './digest';
import { recordedEntry, toRow, type StoredEntry } from './entries';
import { foldedTo, needsJob } from './folded';
import { lockJob, type LockedJob } from './lock-job';
import { boardRow, rememberSources } from './summaries';
import { writeRows } from './write-rows';

/** An entry that was not kept, and why: trying again is of no use. */
export interface RefusedEntry {
  id: string;
  why: string;
}

/** What became of some entries: each is in one of the two. */
export interface Appended {
  kept: Entry[];
  refused: RefusedEntry[];
  /** The database's clock. */
  now: Date;
}

export interface AppendOptions {
  /** Gives the time of keeping; only the demo's loader passes one. It never goes back within a job. */
  clock?: ((entry: NewEntry) => Date) | undefined;
  /** When an entry was received first, where it is moved here from another log. */
  firstReceivedAt?: ((entry: NewEntry) => Date) | undefined;
  /** Computes what a signature is recorded with, from the job before it. */
  verify?: ((entry: NewEntry, before: JobState) => Promise<Verified>) | undefined;
  /** Why an entry is not kept, where a rule needs more than the log: a trace table, the catalogue. Null: it is kept. */
  refuse?: ((entry: NewEntry, before: JobState) => Promise<string | null>) | undefined;
  /** Done in the same transaction. */
  also?: ((transaction: Transaction) => Promise<unknown>) | undefined;
}

/** Entries that came together: of one maker, mostly. */
export interface Post extends AppendOptions {
  entries: readonly NewEntry[];
  by: (entry: NewEntry) => Person;
}

/** An entry with the post it came in, and what is known of its id. */
interface Incoming {
  entry: NewEntry;
  post: Post;
}

const sameEntry = (row: StoredEntry, entry: NewEntry): boolean =>
  row.jobId === entry.jobId &&
  row.kind === entry.kind &&
  row.corrects === (entry.corrects ?? null) &&
  isDeepStrictEqual(row.payload, JSON.parse(JSON.stringify(entry.payload)));

interface Sorted {
  /** By id: entries that are here already. */
  known: ReadonlyMap<string, StoredEntry>;
  /** New ones, each once. */
  fresh: readonly Incoming[];
  /** Those whose id was used for something else. */
  clashing: ReadonlySet<NewEntry>;
}

/** @param anyKnown some of the ids are in use */
async function sorted(
  all: readonly Incoming[],
  anyKnown: boolean,
  transaction: Transaction,
): Promise<Sorted> {
  const ids = all.map(({ entry }) => entry.id);
  const rows = anyKnown
    ? await db().models.Entry.findAll({ where: { id: ids }, raw: true, transaction })
    : [];
  const known = new Map<string, StoredEntry>(rows.map((row) => [row.id, row]));
  const fresh = new Map<string, Incoming>();
  const clashing = new Set<NewEntry>();
  for (const one of all) {
    const { entry } = one;
    const row = known.get(entry.id);
    const twin = fresh.get(entry.id);
    const same =
      row !== undefined ? sameEntry(row, entry) : twin === undefined || isDeepStrictEqual(twin.entry, entry);
    if (!same) clashing.add(entry);
    else if (row === undefined) fresh.set(entry.id, one);
  }
  return { known, fresh: [...fresh.values()], clashing };
}

/** Signatures are recorded with what the server computes of the job before them; nothing else is. */
async function verifiedOf({ entry, post }: Incoming, before: JobState): Promise<Verified | null> {
  if (!isSignature(entry)) return null;
  if (post.verify === undefined) throw new Error('a signature is recorded only where it can be verified');
  return post.verify(entry, before);
}

/** A value as it will be read again: JSON leaves out what is undefined. */
const asRead = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** A loose sheet takes what needs no job, and nothing more once it is attached. */
function againstLoose({ kind, payload }: NewEntry, before: JobState): string | null {
  if (!isLoose(before))
    return before.opened !== null && kind === 'job.opened' && isLoose({ opened: { payload } })
      ? 'A job does not become a loose sheet.'
      : null;
  if (before.moved !== null)
    return `This loose sheet is attached to the job of ${before.moved.payload.machine}: go on there.`;
  return isLooseKind(kind) || kind === 'job.opened' || kind === 'loose.moved' ? null : needsJob;
}

interface Chained {
  rows: StoredEntry[];
  state: JobState;
  /** By id: why it is not kept. */
  refused: ReadonlyMap<string, string>;
}

/** New entries, numbered, timed, verified and chained to the head of the job, and the job after them. */
async function chained(
  job: LockedJob['job'],
  before: JobState,
  fresh: readonly Incoming[],
  { now, limits }: { now: Date; limits: StoredEntry['limits'] },
): Promise<Chained> {
  let at = job.headAt?.getTime() ?? 0;
  let hash = job.headHash;
  let state = before;
  const rows: StoredEntry[] = [];
  const refused = new Map<string, string>();
  for (const one of fresh) {
    const { entry, post } = one;
    const why = againstLoose(entry, state) ?? (await post.refuse?.(entry, state)) ?? null;
    if (why !== null) {
      refused.set(entry.id, why);
      continue;
    }
    at = Math.max(at, (post.clock?.(entry) ?? now).getTime());
    const verified = await verifiedOf(one, state);
    const kept = {
      ...{ seq: job.headSeq + 1 + rows.length, receivedAt: new Date(at), limits, verified },
      firstReceivedAt: post.firstReceivedAt?.(entry) ?? null,
    };
    const row = { ...toRow(asRead(entry), post.by(entry), kept), hash };
    hash = chainHash(hash, recordedEntry(row), sha256);
    const recorded = { ...row, hash };
    rows.push(recorded);
    state = extend(state, [recordedEntry(recorded)], { limits });
  }
  return { rows, state, refused };
}

const usedBefore = 'This id was used before for another log entry.';

/** What became of the entries of one post. */
function answerOf(
  { entries }: Post,
  rows: ReadonlyMap<string, StoredEntry>,
  { clashing, refused: rejected }: { clashing: Sorted['clashing']; refused: Chained['refused'] },
): Omit<Appended, 'now'> {
  const refused = entries.flatMap((entry) => {
    const why = clashing.has(entry) ? usedBefore : rejected.get(entry.id);
    return why === undefined ? [] : [{ id: entry.id, why }];
  });
  const ids = new Set(entries.filter((entry) => !clashing.has(entry)).map(({ id }) => id));
  const kept = [...ids].flatMap((id) => rows.get(id) ?? []).sort((a, b) => a.seq - b.seq);
  return { kept: kept.map(recordedEntry), refused };
}

/** A job after some posts, with an answer for each of them. */
export interface GroupAppended {
  state: JobState;
  now: Date;
  answers: Appended[];
}

/**
 * Appends the entries of some posts to a job under its row's lock: number, time, hash, the board's summary and the news to
 * listeners, all in one transaction.
 * @returns null when there is no such job
 */
export const appendGroup = (jobId: string, posts: readonly Post[]): Promise<GroupAppended | null> =>
  db().sequelize.transaction((transaction) => appendWithin(transaction, jobId, posts));

/**
 * The same within a transaction that does more. The job's row stays locked until it ends.
 * @returns null when there is no such job
 */
export async function appendWithin(
  transaction: Transaction,
  jobId: string,
  posts: readonly Post[],
): Promise<GroupAppended | null> {
  const all = posts.flatMap((post) => post.entries.map((entry): Incoming => ({ entry, post })));
  const locked = await lockJob(
    jobId,
    all.map(({ entry }) => entry.id),
    transaction,
  );
  if (locked === null) return null;
  const { job, now, limits, anyKnown } = locked;
  const found = await sorted(all, anyKnown, transaction);
  const before = await foldedTo(job, { limits, transaction });
  const { rows, state, refused } = await chained(job, before, found.fresh, { now, limits });
  if (rows.length > 0) {
    await writeRows(jobId, rows, boardRow(jobId, state, limits), transaction);
    await rememberSources(job.assetId, before, state, transaction);
  }
  for (const { also } of posts) await also?.(transaction);
  const byId = new Map([...found.known, ...rows.map((row) => [row.id, row] as const)]);
  const notKept = { clashing: found.clashing, refused };
  return { state, now, answers: posts.map((post) => ({ ...answerOf(post, byId, notKept), now })) };
}
