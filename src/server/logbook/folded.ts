import type { Transaction } from 'sequelize';
import type { Limits } from '../../core/bench/make-safe';
import { emptyJob, extend, isLoose, type JobState } from '../../core/logbook';
import { siteLimits } from '../administration/settings';
import { HttpError } from '../http/guard';
import { db } from '../database/connection';
import type { ImportedFrom, JobRow } from '../database/models';
import { rowsAfter, toEntry, type StoredEntry } from './entries';

/** What a loose sheet answers to what needs a job. */
export const needsJob = 'This needs a job: attach the loose sheet to one first.';

/** Entries in all folded jobs that are kept in memory; a megabyte is some thousands of them. */
const mostInMemory = 60_000;

// One for each process, although Next evaluates this module twice: what is in it is plain data.
const slot = globalThis as typeof globalThis & { grimFolded?: Map<string, JobState> };
const folded: Map<string, JobState> = (slot.grimFolded ??= new Map<string, JobState>());

/** Keeps a folded job at hand; those that were not asked for longest go. Only for states that were committed. */
export function remember(jobId: string, state: JobState): void {
  folded.delete(jobId);
  folded.set(jobId, state);
  let entries = 0;
  for (const [id, { log }] of [...folded].reverse()) {
    entries += log.length;
    if (entries > mostInMemory && id !== jobId) folded.delete(id);
  }
}

/** A job as the fold sees it, with what its row says. */
export interface LoadedJob {
  jobId: string;
  assetId: string;
  imported: ImportedFrom | null;
  /** The hash of its newest entry. */
  headHash: string;
  state: JobState;
}

/**
 * The state up to the head of a job: what is in memory, and only the rows that came since.
 * @param job its row, read before
 * @param limits of the site, for entries that carry none
 */
export async function foldedTo(
  { id: jobId, headSeq, headHash, imported }: Pick<JobRow, 'id' | 'headSeq' | 'headHash' | 'imported'>,
  { limits, transaction }: { limits: Limits; transaction?: Transaction },
): Promise<JobState> {
  const known = folded.get(jobId) ?? emptyJob;
  const last = known.log[known.log.length - 1]?.entry;
  if (known.seq === headSeq && last?.hash === headHash) return known;
  const options = transaction === undefined ? {} : { transaction };
  const goneOn = (state: JobState, rows: readonly StoredEntry[]) =>
    extend(
      state,
      rows.map((row) => toEntry(row, imported)),
      { limits },
    );
  // The newest one that is known is read once more: a database that was restored may have another history.
  const [same, ...fresh] = known.seq === 0 ? [] : await rowsAfter(jobId, known.seq - 1, options);
  return same !== undefined && same.hash === last?.hash
    ? goneOn(known, fresh)
    : goneOn(emptyJob, await rowsAfter(jobId, 0, options));
}

/** A job as its log stands, loaded once for a request and passed on; null when there is no such job. */
export async function loadJob(jobId: string): Promise<LoadedJob | null> {
  const job = await db().models.Job.findByPk(jobId, { raw: true });
  if (job === null) return null;
  const state = await foldedTo(job, { limits: await siteLimits() });
  remember(jobId, state);
  const { assetId, imported, headHash } = job;
  return { jobId, assetId, imported, headHash, state };
}

/** The same where there must be one. @throws HttpError 404 */
export async function jobOrRefusal(jobId: string): Promise<LoadedJob> {
  const job = await loadJob(jobId);
  if (job === null) throw new HttpError(404, 'No such job.');
  return job;
}

/** What is done to a drive needs a job. @throws HttpError 409 on a loose sheet */
export function jobNeeded(state: JobState): void {
  if (isLoose(state)) throw new HttpError(409, needsJob, [], true);
}
