import { HttpError, idOf } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { otherStators } from '@/server/parameter-sets/set-library';

/** Stator resistances in sets of other machines: one that comes back to the last digit was copied. */
export const GET = jsonRoute('GET /api/v1/jobs/:id/other-motors', async ({ params }) => {
  const ohms = await otherStators(idOf(params.id, 'job'));
  if (ohms === null) throw new HttpError(404, 'No such job.');
  return { ohms };
});
