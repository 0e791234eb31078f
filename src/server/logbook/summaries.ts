import type { Transaction } from 'sequelize';
import type { Limits } from '../../core/bench/make-safe';
import {
  emptyJob,
  mustStayDead,
  sourcesMet,
  summarise,
  type JobState,
  type JobSummary,
} from '../../core/logbook';
import { siteLimits } from '../administration/settings';
import { db } from '../database/connection';
import { foldedTo } from './folded';

/** When a stopped machine has stood as long as it may; null: its clock does not run. */
const runsOutAt = ({ conclusion, stoppedAt, downtimeAllowed_min }: JobSummary): Date | null =>
  conclusion !== null || stoppedAt === null || downtimeAllowed_min === null
    ? null
    : new Date(Date.parse(stoppedAt) + downtimeAllowed_min * 60_000);

/** What the board is searched, filtered and ordered by. */
const columnsOf = (summary: JobSummary, workOrder: string | undefined) => ({
  search: [summary.machine, summary.site, summary.drive, summary.serial, summary.complaint, workOrder]
    .filter((part) => typeof part === 'string')
    .join('\n')
    .toLowerCase(),
  concluded: ['handed-over', 'attached'].includes(summary.conclusion?.verdict ?? ''),
  loose: summary.loose === true,
  stage: summary.stage,
  runsOutAt: runsOutAt(summary),
  lastAt: summary.lastAt === null ? null : new Date(summary.lastAt),
});

/** The board's line of a job as it is stored; null before the job was opened. */
export function boardRow(jobId: string, state: JobState, site: Limits) {
  const summary = summarise(state, site, mustStayDead(state).length > 0);
  return summary === null
    ? null
    : { jobId, seq: state.seq, summary, ...columnsOf(summary, state.opened?.payload.workOrder) };
}

/** What the board shows of a job. */
export type BoardRow = NonNullable<ReturnType<typeof boardRow>>;

/** Keeps with a machine which sources of energy were met on it, where the job met new ones. */
export async function rememberSources(
  assetId: string,
  before: JobState,
  state: JobState,
  transaction: Transaction,
): Promise<void> {
  const met = sourcesMet(state);
  const knownBefore = sourcesMet(before);
  if (met.every((kind) => knownBefore.includes(kind))) return;
  const { Asset } = db().models;
  const asset = await Asset.findByPk(assetId, { transaction, lock: transaction.LOCK.UPDATE });
  await asset?.update({ knownSources: [...new Set([...asset.knownSources, ...met])] }, { transaction });
}

/** Writes the board's line of a job, and what its machine is remembered for. */
export async function writeSummary(
  job: { id: string; assetId: string },
  state: JobState,
  site: Limits,
  transaction: Transaction,
): Promise<void> {
  const row = boardRow(job.id, state, site);
  if (row !== null) await db().models.JobSummary.upsert(row, { transaction });
  await rememberSources(job.assetId, emptyJob, state, transaction);
}

/** Jobs whose summary is to be written anew. */
async function idsOf(which: 'all' | 'open'): Promise<string[]> {
  const { Job, JobSummary } = db().models;
  if (which === 'all') return (await Job.findAll({ attributes: ['id'], raw: true })).map((j) => j.id);
  const open = await JobSummary.findAll({ where: { concluded: false }, attributes: ['jobId'], raw: true });
  return open.map((s) => s.jobId);
}

/** Writes summaries anew from the entries of their jobs; those of closed jobs do not change with the limits. @returns how many */
export async function rebuildSummaries(which: 'all' | 'open' = 'all'): Promise<number> {
  const { sequelize, models } = db();
  const site = await siteLimits();
  const jobs = await idsOf(which);
  for (const id of jobs)
    await sequelize.transaction(async (transaction) => {
      const job = await models.Job.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
      if (job === null) return;
      const state = await foldedTo(job, { limits: site, transaction });
      await writeSummary(job, state, site, transaction);
    });
  return jobs.length;
}
