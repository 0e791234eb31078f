import { HttpError, idOf } from '@/server/http/border';
import { jsonRoute } from '@/server/http/route';
import { earlierTests } from '@/server/motor/motor-history';

/** Insulation tests of this job's motor in other jobs. */
export const GET = jsonRoute('GET /api/v1/jobs/:id/motor-tests', async ({ params }) => {
  const tests = await earlierTests(idOf(params.id, 'job'));
  if (tests === null) throw new HttpError(404, 'There is no such job.');
  return { tests };
});
