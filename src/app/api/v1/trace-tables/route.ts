import { traceTablesSchema } from '@/core/fault-finding/tracing/schema';
import { guardedRoute, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { ownTraceTables, setTraceTables } from '@/server/administration/settings';

export const dynamic = 'force-dynamic';

/** Tables of the shop's own; all others are the usual ones. */
export const GET = guardedRoute(async () => Response.json({ own: await ownTraceTables() }));

/** The shop lead writes down what the shop has seen. */
export const PUT = guardedRoute(async (request) => {
  if ((await currentPerson()).role !== 'lead') throw new HttpError(403, 'The shop lead keeps these tables.');
  await setTraceTables(await jsonBody(request, traceTablesSchema, 512 * 1024));
  return Response.json({ own: await ownTraceTables() });
});
