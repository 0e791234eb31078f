import { HttpError, idOf } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { setLibrary } from '@/server/parameter-sets/set-library';

/** Sets of all jobs, this machine's first. `?text=` words of name, machine, serial number, type. */
export const GET = jsonRoute('GET /api/v1/jobs/:id/set-library', async ({ params, query }) => {
  const sets = await setLibrary(idOf(params.id, 'job'), query.text.slice(0, 100));
  if (sets === null) throw new HttpError(404, 'No such job.');
  return { sets };
});
