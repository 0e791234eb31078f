import { walkChain, chainStart, type ChainFault } from '../../core/job/chain';
import { db } from '../database/connection';
import { sha256 } from './digest';
import { mostEntries, recordedEntry, rowsAfter } from './entries';

/** A job whose log is not as it was kept. */
export interface BrokenLog extends ChainFault {
  jobId: string;
}

/** Walks a job's chain to its head; null: it is whole. */
async function faultOf(job: { id: string; headSeq: number; headHash: string }): Promise<BrokenLog | null> {
  let at = chainStart;
  for (;;) {
    const rows = await rowsAfter(job.id, at.seq, { limit: mostEntries });
    const walked = walkChain(rows.map(recordedEntry), sha256, at);
    if ('fault' in walked) return { jobId: job.id, ...walked.fault };
    at = walked.end;
    if (rows.length < mostEntries) break;
  }
  if (at.seq < job.headSeq) return { jobId: job.id, seq: at.seq + 1, why: 'the newest entries are missing' };
  if (at.seq > job.headSeq || at.hash !== job.headHash)
    return { jobId: job.id, seq: job.headSeq + 1, why: 'it is not recorded as the newest entry of the job' };
  return null;
}

/** Walks the logs of all jobs. @returns how many, how many entries, and the jobs whose log is broken */
export async function checkChains(): Promise<{ jobs: number; entries: number; broken: BrokenLog[] }> {
  const jobs = await db().models.Job.findAll({
    attributes: ['id', 'headSeq', 'headHash'],
    order: ['id'],
    raw: true,
  });
  const broken: BrokenLog[] = [];
  let entries = 0;
  for (const job of jobs) {
    entries += job.headSeq;
    const fault = await faultOf(job);
    if (fault !== null) broken.push(fault);
  }
  return { jobs: jobs.length, entries, broken };
}
