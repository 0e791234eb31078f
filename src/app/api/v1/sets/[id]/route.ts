import { guardedRoute, idOf, HttpError } from '@/server/http/border';
import { librarySet } from '@/server/parameter-sets/set-library';

/** One kept set of any job. */
export const GET = guardedRoute(async (_request, { params }: { params: Promise<{ id: string }> }) => {
  const set = await librarySet(idOf((await params).id, 'set'));
  if (set === null) throw new HttpError(404, 'There is no such set.');
  return Response.json({ set });
});
