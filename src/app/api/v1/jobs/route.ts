import { HttpError } from '@/server/http/border';
import { jsonRoute } from '@/server/http/route';
import { board, openJob } from '@/server/logbook/jobs';

export const GET = jsonRoute('GET /api/v1/jobs', async () => ({ jobs: await board() }));

/** Opens a job. The ids are made by the client, so sending twice is harmless. */
export const POST = jsonRoute('POST /api/v1/jobs', async ({ body: { entry }, person }) => {
  if (entry.kind !== 'job.opened') throw new HttpError(422, 'A job begins with job.opened.');
  const answer = await openJob(entry, await person());
  if ('refused' in answer) throw new HttpError(409, 'This job was opened with other words before.');
  return { jobId: entry.jobId, entries: answer.kept };
});
