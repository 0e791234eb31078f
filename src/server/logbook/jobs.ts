import { isDeepStrictEqual } from 'node:util';
import type { Transaction } from 'sequelize';
import {
  fold,
  keptEntry,
  mustStayDead,
  sourcesMet,
  summarise,
  type Entry,
  type JobSummary,
  type NewEntry,
  type Person,
} from '../../core/logbook';
import { db } from '../database/connection';
import type { EntryRow } from '../database/models';
import { siteLimits } from '../administration/settings';
import { serverNow } from '../clock';

export type Kept = { kept: Entry[] } | { refused: 'no-such-job' } | { refused: 'other-payload'; id: string };

async function peopleOf(rows: readonly EntryRow[], transaction?: Transaction): Promise<Map<string, string>> {
  const found = await db().models.Person.findAll({
    where: { id: [...new Set(rows.map((r) => r.byId))] },
    ...(transaction === undefined ? {} : { transaction }),
  });
  return new Map(found.map((p) => [p.id, p.name]));
}

/** An entry as it was kept: its payload passed the schema of its kind then. */
function toEntry(row: EntryRow, names: ReadonlyMap<string, string>): Entry {
  const { v, id, jobId, seq, kind } = row;
  const envelope = {
    v,
    id,
    jobId,
    at: row.at.toISOString(),
    by: { id: row.byId, name: names.get(row.byId) ?? '', role: row.byRole },
    seq,
    receivedAt: row.receivedAt.toISOString(),
    ...(row.corrects === null ? {} : { corrects: row.corrects }),
  };
  return keptEntry(envelope, kind, row.payload);
}

/** The entries of a job after a seq, in order; null when there is no such job. */
export async function entriesAfter(jobId: string, after: number): Promise<Entry[] | null> {
  const { Job, Entry: Entries } = db().models;
  if ((await Job.findByPk(jobId)) === null) return null;
  const rows = (await Entries.findAll({ where: { jobId }, order: ['seq'] })).filter((r) => r.seq > after);
  const names = await peopleOf(rows);
  return rows.map((row) => toEntry(row, names));
}

const sameEntry = (row: EntryRow, entry: NewEntry): boolean =>
  row.jobId === entry.jobId &&
  row.kind === entry.kind &&
  row.corrects === (entry.corrects ?? null) &&
  isDeepStrictEqual(row.payload, JSON.parse(JSON.stringify(entry.payload)));

/**
 * Appends entries to a job, all or none, under the job row's lock, and rewrites its summary in the
 * same transaction. Entries that are there already with the same payload are left as they are.
 * @param clock gives the time of keeping; only the demo loader passes one
 * @param also done in the same transaction
 */
export async function appendEntries(
  jobId: string,
  entries: readonly NewEntry[],
  by: Person | ((entry: NewEntry) => Person),
  clock: (entry: NewEntry) => Date = serverNow,
  also: (transaction: Transaction) => Promise<unknown> = () => Promise.resolve(),
): Promise<Kept> {
  const { sequelize, models } = db();
  const site = await siteLimits();
  return sequelize.transaction(async (transaction): Promise<Kept> => {
    const job = await models.Job.findByPk(jobId, { transaction, lock: transaction.LOCK.UPDATE });
    if (job === null) return { refused: 'no-such-job' };
    const known = await models.Entry.findAll({ where: { id: entries.map((e) => e.id) }, transaction });
    const byId = new Map(known.map((row) => [row.id, row]));
    const clash = entries.find((e) => {
      const row = byId.get(e.id);
      return row !== undefined && !sameEntry(row, e);
    });
    if (clash !== undefined) return { refused: 'other-payload', id: clash.id };

    const fresh = [...new Map(entries.filter((e) => !byId.has(e.id)).map((e) => [e.id, e])).values()];
    const rows = await models.Entry.bulkCreate(
      fresh.map((entry, i) => {
        const person = typeof by === 'function' ? by(entry) : by;
        return {
          jobId,
          seq: job.headSeq + 1 + i,
          id: entry.id,
          v: entry.v,
          kind: entry.kind,
          at: new Date(entry.at),
          byId: person.id,
          byRole: person.role,
          receivedAt: clock(entry),
          payload: entry.payload,
          corrects: entry.corrects ?? null,
        };
      }),
      { transaction },
    );
    await job.update({ headSeq: job.headSeq + fresh.length }, { transaction });
    if (fresh.length > 0) await writeSummary(jobId, job.assetId, site, transaction);
    await also(transaction);
    const kept = [...known, ...rows].sort((a, b) => a.seq - b.seq);
    const names = await peopleOf(kept, transaction);
    return { kept: kept.map((row) => toEntry(row, names)) };
  });
}

async function writeSummary(
  jobId: string,
  assetId: string,
  site: Awaited<ReturnType<typeof siteLimits>>,
  transaction: Transaction,
): Promise<void> {
  const { models } = db();
  const rows = await models.Entry.findAll({ where: { jobId }, order: ['seq'], transaction });
  const names = await peopleOf(rows, transaction);
  const state = fold(
    rows.map((row) => toEntry(row, names)),
    { limits: site },
  );
  const summary = summarise(state, site, mustStayDead(state).length > 0);
  if (summary !== null) await models.JobSummary.upsert({ jobId, seq: state.seq, summary }, { transaction });
  const met = sourcesMet(state);
  if (met.length > 0) {
    const asset = await models.Asset.findByPk(assetId, { transaction, lock: transaction.LOCK.UPDATE });
    const all = [...new Set([...(asset?.knownSources ?? []), ...met])];
    await asset?.update({ knownSources: all }, { transaction });
  }
}

/** Opens a job with its first entry; opening it twice is harmless. */
export async function openJob(
  opened: Extract<NewEntry, { kind: 'job.opened' }>,
  by: Person,
  clock?: (entry: NewEntry) => Date,
): Promise<Kept> {
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
  return appendEntries(opened.jobId, [opened], by, clock);
}

export interface BoardLine extends JobSummary {
  jobId: string;
}

/** All jobs, the ones with the tightest clock first. */
export async function board(): Promise<BoardLine[]> {
  const rows = await db().models.JobSummary.findAll();
  const lines = rows.map((row) => ({ jobId: row.jobId, ...row.summary }));
  const runsOut = (l: BoardLine): number =>
    l.conclusion !== null || l.stoppedAt === null || l.downtimeAllowed_min === null
      ? Infinity
      : Date.parse(l.stoppedAt) + l.downtimeAllowed_min * 60_000;
  return lines.sort((a, b) => runsOut(a) - runsOut(b) || a.machine.localeCompare(b.machine));
}

export interface MachineRow {
  id: string;
  site: string;
  name: string;
}

export async function machines(): Promise<MachineRow[]> {
  const rows = await db().models.Asset.findAll({ order: ['site', 'name'] });
  return rows.map(({ id, site, name }) => ({ id, site, name }));
}

/** Sources met on earlier jobs of this job's machine. */
export async function knownSources(jobId: string): Promise<string[]> {
  const { Job, Asset } = db().models;
  const job = await Job.findByPk(jobId);
  const asset = job === null ? null : await Asset.findByPk(job.assetId);
  return (asset?.knownSources ?? []).map(String);
}

/** Writes every job's summary anew from its entries. @returns how many */
export async function rebuildSummaries(): Promise<number> {
  const { sequelize, models } = db();
  const site = await siteLimits();
  const jobs = await models.Job.findAll();
  for (const job of jobs)
    await sequelize.transaction(async (transaction) => {
      await models.Job.findByPk(job.id, { transaction, lock: transaction.LOCK.UPDATE });
      await writeSummary(job.id, job.assetId, site, transaction);
    });
  return jobs.length;
}
