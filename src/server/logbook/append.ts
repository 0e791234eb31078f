import { isDeepStrictEqual } from 'node:util';
import type { Transaction } from 'sequelize';
import { chainHash } from '../../core/job/chain';
import {
  extend,
  isSignature,
  type Entry,
  type JobState,
  type NewEntry,
  type Person,
  type Verified,
} from '../../core/logbook';
import { siteLimits } from '../administration/settings';
import { databaseNow } from '../clock';
import { db } from '../database/connection';
import type { JobRow } from '../database/models';
import { recordedEntry, toRow, type StoredEntry } from './entries';
import { foldedTo, remember } from './folded';
import { keepDailyHead } from './daily-heads';
import { announce } from './announce';
import { sha256 } from './digest';
import { writeSummary } from './summaries';

/** An entry that was not kept, and why: trying again is of no use. */
export interface RefusedEntry {
  id: string;
  why: string;
}

/** What became of some entries: each is in one of the two. */
export interface Appended {
  kept: Entry[];
  refused: RefusedEntry[];
}

const sameEntry = (row: StoredEntry, entry: NewEntry): boolean =>
  row.jobId === entry.jobId &&
  row.kind === entry.kind &&
  row.corrects === (entry.corrects ?? null) &&
  isDeepStrictEqual(row.payload, JSON.parse(JSON.stringify(entry.payload)));

interface Sorted {
  known: StoredEntry[];
  fresh: NewEntry[];
  refused: RefusedEntry[];
}

/** Entries that are here already, those that are new, and those whose id was used for something else. */
async function sorted(entries: readonly NewEntry[], transaction: Transaction): Promise<Sorted> {
  const rows = await db().models.Entry.findAll({
    where: { id: entries.map((e) => e.id) },
    raw: true,
    transaction,
  });
  const stored = new Map<string, StoredEntry>(rows.map((row) => [row.id, row]));
  const fresh = new Map<string, NewEntry>();
  const known = new Map<string, StoredEntry>();
  const refused: RefusedEntry[] = [];
  for (const entry of entries) {
    const row = stored.get(entry.id);
    const twin = fresh.get(entry.id);
    const same =
      row !== undefined ? sameEntry(row, entry) : twin === undefined || isDeepStrictEqual(twin, entry);
    if (!same) refused.push({ id: entry.id, why: 'Its id was used before for an entry with other content.' });
    else if (row !== undefined) known.set(entry.id, row);
    else fresh.set(entry.id, entry);
  }
  return { known: [...known.values()], fresh: [...fresh.values()], refused };
}

export interface AppendOptions {
  /** Gives the time of keeping; only the demo's loader passes one. It never goes back within a job. */
  clock?: ((entry: NewEntry) => Date) | undefined;
  /** Computes what a signature is recorded with, from the job before it. */
  verify?: ((entry: NewEntry, before: JobState) => Promise<Verified>) | undefined;
  /** Done in the same transaction. */
  also?: ((transaction: Transaction) => Promise<unknown>) | undefined;
}

/** Signatures are recorded with what the server computes of the job before them; nothing else is. */
async function verifiedOf(
  entry: NewEntry,
  before: JobState,
  verify: AppendOptions['verify'],
): Promise<Verified | null> {
  if (!isSignature(entry)) return null;
  if (verify === undefined) throw new Error('a signature is recorded only where it can be verified');
  return verify(entry, before);
}

/** New entries, numbered, timed, verified and chained to the head of the job, and the job after them. */
async function chained(
  job: JobRow,
  before: JobState,
  fresh: readonly NewEntry[],
  {
    by,
    time,
    limits,
    verify,
  }: {
    by: (entry: NewEntry) => Person;
    time: (entry: NewEntry) => Date;
    limits: StoredEntry['limits'];
    verify: AppendOptions['verify'];
  },
): Promise<{ rows: StoredEntry[]; state: JobState }> {
  let at = job.headAt?.getTime() ?? 0;
  let hash = job.headHash;
  let state = before;
  const rows: StoredEntry[] = [];
  for (const entry of fresh) {
    at = Math.max(at, time(entry).getTime());
    const verified = await verifiedOf(entry, state, verify);
    const kept = { seq: job.headSeq + 1 + rows.length, receivedAt: new Date(at), limits, verified };
    const row = { ...toRow(entry, by(entry), kept), hash };
    // As it will be read again: JSON leaves out what is undefined.
    row.payload = JSON.parse(JSON.stringify(row.payload));
    hash = chainHash(hash, recordedEntry(row), sha256);
    const recorded = { ...row, hash };
    rows.push(recorded);
    state = extend(state, [recordedEntry(recorded)], { limits });
  }
  return { rows, state };
}

/**
 * Appends entries to a job under its row's lock: number, time, hash, the board's summary and the news to listeners, all in one
 * transaction. Entries that are there already with the same content are left as they are; one whose id was used
 * otherwise is refused, and the rest is kept.
 * @returns null when there is no such job
 */
export async function appendEntries(
  jobId: string,
  entries: readonly NewEntry[],
  by: Person | ((entry: NewEntry) => Person),
  { clock, verify, also }: AppendOptions = {},
): Promise<Appended | null> {
  const { sequelize, models } = db();
  const limits = await siteLimits();
  const maker = typeof by === 'function' ? by : () => by;
  const done = await sequelize.transaction(async (transaction) => {
    const job = await models.Job.findByPk(jobId, { transaction, lock: transaction.LOCK.UPDATE });
    if (job === null) return null;
    const { known, fresh, refused } = await sorted(entries, transaction);
    const now = await databaseNow(transaction);
    const before = await foldedTo(job, transaction);
    const time = clock ?? (() => now);
    const { rows, state } = await chained(job, before, fresh, { by: maker, time, limits, verify });
    const last = rows[rows.length - 1];
    if (last !== undefined) {
      await models.Entry.bulkCreate(rows, { transaction, returning: false });
      await job.update({ headSeq: last.seq, headHash: last.hash, headAt: last.receivedAt }, { transaction });
      await writeSummary(job, state, limits, transaction);
      await announce(jobId, last.seq, transaction);
    }
    await also?.(transaction);
    const kept = [...known, ...rows].sort((a, b) => a.seq - b.seq).map(recordedEntry);
    return { state, now, answer: { kept, refused } };
  });
  if (done === null) return null;
  // Only now is it committed.
  remember(jobId, done.state);
  keepDailyHead(done.now);
  return done.answer;
}

/** The same where every entry must be kept: ids that are made here are used once. @throws Error */
export async function appendAll(
  jobId: string,
  entries: readonly NewEntry[],
  by: Person,
  options?: AppendOptions,
): Promise<Entry[] | null> {
  const appended = await appendEntries(jobId, entries, by, options);
  if (appended === null) return null;
  if (appended.refused.length > 0) throw new Error('an entry of the server itself was refused');
  return appended.kept;
}

/** Opens a job with its first entry; opening it twice is harmless. */
export async function openJob(
  opened: Extract<NewEntry, { kind: 'job.opened' }>,
  by: Person,
  clock?: (entry: NewEntry) => Date,
): Promise<Appended> {
  const { sequelize, models } = db();
  await sequelize.transaction(async (transaction) => {
    const { assetId, site, machine } = opened.payload;
    await models.Asset.findOrCreate({
      where: { id: assetId },
      defaults: { id: assetId, site, name: machine },
      transaction,
    });
    await models.Job.findOrCreate({
      where: { id: opened.jobId },
      defaults: { id: opened.jobId, assetId },
      transaction,
    });
  });
  const appended = await appendEntries(opened.jobId, [opened], by, { clock });
  if (appended === null) throw new Error('a job that was just made is not there');
  return appended;
}
