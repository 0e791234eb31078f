import { HttpError, idOf } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { librarySet } from '@/server/parameter-sets/set-library';

/** One kept set of any job. */
export const GET = jsonRoute('GET /api/v1/sets/:id', async ({ params }) => {
  const set = await librarySet(idOf(params.id, 'set'));
  if (set === null) throw new HttpError(404, 'No such parameter set.');
  return { set };
});
