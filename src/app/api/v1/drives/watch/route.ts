import * as z from 'zod';
import { guardedRoute, HttpError } from '@/server/http/guard';
import { watch } from '@/server/drive-link/drives';

export const dynamic = 'force-dynamic';

const asked = z.object({ target: z.string().max(100), typeId: z.string().max(100) });

/** Live values of one drive as they come. */
export const GET = guardedRoute(async (request) => {
  const query = asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) throw new HttpError(422, 'target and typeId are required.');
  const { target, typeId } = query.data;
  return new Response(await watch(target, typeId, request.signal), {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' },
  });
});
