import { idOf } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { jobOrRefusal } from '@/server/logbook/folded';
import { earlierTests } from '@/server/motor/motor-history';

/** Insulation tests of this job's motor in other jobs. */
export const GET = jsonRoute('GET /api/v1/jobs/:id/motor-tests', async ({ params }) => {
  const job = await jobOrRefusal(idOf(params.id, 'job'));
  return { tests: await earlierTests(job) };
});
