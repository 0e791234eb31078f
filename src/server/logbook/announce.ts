import type { Transaction } from 'sequelize';
import { db } from '../database/connection';

/** The channel on which the database says that a job has new entries. */
export const channel = 'grim_entries';

/** Tells listeners of new entries, when and only when the transaction is committed. */
export const announce = (jobId: string, seq: number, transaction: Transaction): Promise<unknown> =>
  db().sequelize.query('select pg_notify(:channel, :news)', {
    replacements: { channel, news: `${jobId} ${seq}` },
    transaction,
  });
