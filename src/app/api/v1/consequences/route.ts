import { consequencesSchema } from '@/core/bench/story/schema';
import { guardedRoute, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { consequences, setConsequences } from '@/server/administration/settings';

export const GET = guardedRoute(async () => Response.json({ consequences: await consequences() }));

/** The shop lead writes down what the shop has seen. */
export const PUT = guardedRoute(async (request) => {
  if ((await currentPerson()).role !== 'lead') throw new HttpError(403, 'The shop lead keeps this table.');
  await setConsequences(await jsonBody(request, consequencesSchema, 64 * 1024));
  return Response.json({ consequences: await consequences() });
});
