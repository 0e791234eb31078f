import { guardedRoute, idOf, HttpError } from '@/server/http/border';
import { otherStators } from '@/server/parameter-sets/set-library';

/** Stator resistances in sets of other machines: one that comes back to the last digit was copied. */
export const GET = guardedRoute(async (_request, { params }: { params: Promise<{ id: string }> }) => {
  const ohms = await otherStators(idOf((await params).id, 'job'));
  if (ohms === null) throw new HttpError(404, 'There is no such job.');
  return Response.json({ ohms });
});
