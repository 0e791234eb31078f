import { idOf } from '@/server/http/guard';
import { jobOrRefusal } from '@/server/logbook/folded';
import { jsonRoute } from '@/server/http/route';
import { makeRun, orderRun, runsOfJob } from '@/server/parameter-sets/write-run';

/** The newest runs of a job with their lines. */
export const GET = jsonRoute('GET /api/v1/jobs/:id/set-writes', async ({ params }) => {
  const { jobId } = await jobOrRefusal(idOf(params.id, 'job'));
  return { runs: await runsOfJob(jobId) };
});

/** Begins a run; the same id again is harmless. */
export const POST = jsonRoute('POST /api/v1/jobs/:id/set-writes', async ({ params, body, person }) => {
  const jobId = idOf(params.id, 'job');
  const { confirmed: _, set: setId, ...order } = body;
  const by = await person();
  await makeRun({ ...order, jobId, setId }, by);
  await orderRun(order.id, by.id, 'go-on');
  return {};
});
