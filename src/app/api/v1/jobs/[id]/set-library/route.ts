import { guardedRoute, idOf, HttpError } from '@/server/http/border';
import { setLibrary } from '@/server/parameter-sets/set-library';

/** Sets of all jobs, this machine's first. `?text=` words of name, machine, serial number, type. */
export const GET = guardedRoute(async (request, { params }: { params: Promise<{ id: string }> }) => {
  const text = (new URL(request.url).searchParams.get('text') ?? '').slice(0, 100);
  const sets = await setLibrary(idOf((await params).id, 'job'), text);
  if (sets === null) throw new HttpError(404, 'There is no such job.');
  return Response.json({ sets });
});
