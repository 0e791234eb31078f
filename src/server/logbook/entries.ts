import { Op, type Transaction } from 'sequelize';
import { v5 } from 'uuid';
import { keptEntry, type Entry, type NewEntry, type Person } from '../../core/logbook';
import { db } from '../database/connection';
import type { EntryRow, ImportedFrom } from '../database/models';

/** An entry as its row has it. */
export type StoredEntry = Pick<
  EntryRow,
  | 'jobId'
  | 'seq'
  | 'id'
  | 'v'
  | 'kind'
  | 'at'
  | 'byId'
  | 'byName'
  | 'byRole'
  | 'receivedAt'
  | 'firstReceivedAt'
  | 'payload'
  | 'corrects'
  | 'seen'
  | 'limits'
  | 'verified'
  | 'hash'
>;

/** Makers of another installation: never somebody of this one, whatever ids they have there. */
export const foreignId = (id: string, jobId: string): string => v5(id, jobId);

/** An entry as it was recorded, and as it is hashed: its payload passed the schema of its kind then. */
export function recordedEntry(row: StoredEntry): Entry {
  const { v, id, jobId, seq, kind, limits, hash } = row;
  const envelope = {
    ...{ v, id, jobId, seq, limits, hash },
    at: row.at.toISOString(),
    by: { id: row.byId, name: row.byName, role: row.byRole },
    receivedAt: row.receivedAt.toISOString(),
    ...(row.firstReceivedAt === null ? {} : { firstReceivedAt: row.firstReceivedAt.toISOString() }),
    ...(row.corrects === null ? {} : { corrects: row.corrects }),
    ...(row.seen === null ? {} : { seen: row.seen }),
    ...(row.verified === null ? {} : { verified: row.verified }),
  };
  return keptEntry(envelope, kind, row.payload);
}

/** The same as it is seen here: makers of an imported job are strangers. */
export function toEntry(row: StoredEntry, imported: ImportedFrom | null): Entry {
  const entry = recordedEntry(row);
  return imported === null || row.seq > imported.seq
    ? entry
    : { ...entry, by: { ...entry.by, id: foreignId(entry.by.id, row.jobId) } };
}

/** An entry as it goes to a device, which verifies no chain: hashes cannot be compressed, and of 5,000 entries they are the most. */
export const withoutHash = ({ hash: _hash, ...entry }: Entry): Entry => entry;

/** The row of an entry that is about to be kept. */
export function toRow(
  entry: NewEntry,
  by: Person,
  kept: Pick<StoredEntry, 'seq' | 'receivedAt' | 'firstReceivedAt' | 'limits' | 'verified'>,
) {
  const { id, jobId, v, kind, payload, corrects = null, seen = null } = entry;
  const at = new Date(entry.at);
  return {
    id,
    jobId,
    v,
    kind,
    payload,
    corrects,
    seen,
    at,
    byId: by.id,
    byName: by.name,
    byRole: by.role,
    ...kept,
  };
}

/** So many entries are answered at once. */
export const mostEntries = 1000;

/** Rows of a job after a seq, in order. Raw: a model for each of 5,000 rows is felt. */
export const rowsAfter = (
  jobId: string,
  after: number,
  { limit, transaction }: { limit?: number; transaction?: Transaction } = {},
): Promise<StoredEntry[]> =>
  db().models.Entry.findAll({
    where: { jobId, seq: { [Op.gt]: after } },
    order: ['seq'],
    raw: true,
    ...(limit === undefined ? {} : { limit }),
    ...(transaction === undefined ? {} : { transaction }),
  });

/** The entries of a job after a seq, in order, at most 1000; null when there is no such job. */
export async function entriesAfter(jobId: string, after: number): Promise<Entry[] | null> {
  const job = await db().models.Job.findByPk(jobId, { attributes: ['imported'], raw: true });
  if (job === null) return null;
  const rows = await rowsAfter(jobId, after, { limit: mostEntries });
  return rows.map((row) => toEntry(row, job.imported));
}
