import { HttpError, idOf } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { orderRun, runById } from '@/server/parameter-sets/write-run';

/** Goes on with a run, leaves a value out, pauses, ends it is, or compares again. */
export const POST = jsonRoute('POST /api/v1/jobs/:id/set-writes/:run', async ({ params, body, person }) => {
  const [jobId, id] = [idOf(params.id, 'job'), idOf(params.run, 'run')];
  const { do: deed, confirmed } = body;
  const run = await runById(id);
  if (run.jobId !== jobId) throw new HttpError(404, 'No such write run in this job.');
  const writes = deed === 'go-on' || deed === 'leave-out';
  if (writes && confirmed !== true) throw new HttpError(422, 'A person at the drive must confirm first.');
  await orderRun(id, (await person()).id, deed);
  return {};
});
