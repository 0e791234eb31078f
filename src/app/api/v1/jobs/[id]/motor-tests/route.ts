import { guardedRoute, idOf, HttpError } from '@/server/http/border';
import { earlierTests } from '@/server/motor/motor-history';

/** Insulation tests of this job's motor in other jobs. */
export const GET = guardedRoute(async (_, { params }: { params: Promise<{ id: string }> }) => {
  const tests = await earlierTests(idOf((await params).id, 'job'));
  if (tests === null) throw new HttpError(404, 'There is no such job.');
  return Response.json({ tests });
});
