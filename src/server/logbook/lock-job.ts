import { QueryTypes, type Transaction } from 'sequelize';
import type { Limits } from '../../core/bench/make-safe';
import { limitsOf } from '../administration/settings';
import { clockShift_ms } from '../clock';
import { db } from '../database/connection';
import type { JobRow } from '../database/models';

/** A job whose row is locked until the transaction ends, and what an append needs beside it. */
export interface LockedJob {
  job: Pick<JobRow, 'id' | 'assetId' | 'headSeq' | 'headHash' | 'headAt' | 'imported'>;
  /** The database's clock. */
  now: Date;
  /** The site's limits in force. */
  limits: Limits;
  /** Some of the ids are in use already. */
  anyKnown: boolean;
}

// One way to the database for all of it: what an append costs is mostly its ways.
const sql = `
  select id, asset_id as "assetId", head_seq as "headSeq", head_hash as "headHash", head_at as "headAt", imported,
         clock_timestamp() as now, (select value from settings where key = 'limits') as limits,
         exists (select from entries where entries.id = any ($ids::uuid[])) as "anyKnown"
  from jobs where id = $jobId for update`;

/**
 * Locks the row of a job. Under contention the clock may be that of before the wait: whoever numbers entries lets time never go
 * back. An id that another process is just using may be missed: the table refuses it then.
 * @returns null when there is no such job
 */
export async function lockJob(
  jobId: string,
  ids: readonly string[],
  transaction: Transaction,
): Promise<LockedJob | null> {
  const [row] = await db().sequelize.query<
    LockedJob['job'] & { now: Date; limits: unknown; anyKnown: boolean }
  >(sql, { bind: { jobId, ids }, type: QueryTypes.SELECT, transaction });
  if (row === undefined) return null;
  const { now, limits, anyKnown, ...job } = row;
  return { job, now: new Date(now.getTime() + clockShift_ms()), limits: limitsOf(limits), anyKnown };
}
