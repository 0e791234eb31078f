import { HttpError } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { openJob } from '@/server/logbook/append';
import { withoutHash } from '@/server/logbook/entries';
import { board } from '@/server/logbook/board';

/** One page of the board: `?search=` words, `state=open|closed|all`, `stage=`, `sort=clock|newest|machine`, `page=`. */
export const GET = jsonRoute('GET /api/v1/jobs', ({ query }) => board(query));

/** Opens a job. The ids are made by the client, so sending twice is harmless. */
export const POST = jsonRoute('POST /api/v1/jobs', async ({ body: { entry }, person }) => {
  if (entry.kind !== 'job.opened') throw new HttpError(422, 'A job must start with job.opened.');
  const { kept, refused } = await openJob(entry, await person());
  if (refused.length > 0) throw new HttpError(409, 'This job was opened before with other content.');
  return { jobId: entry.jobId, entries: kept.map(withoutHash) };
});
