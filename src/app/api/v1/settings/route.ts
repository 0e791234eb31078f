import { guardedRoute, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { rebuildSummaries } from '@/server/logbook/jobs';
import { siteLimits, limitsSchema, setLimits } from '@/server/administration/settings';

export const GET = guardedRoute(async () => Response.json({ limits: await siteLimits() }));

/** The shop lead may lower the limits for the site; nobody can raise them above the usual ones. */
export const PUT = guardedRoute(async (request) => {
  if ((await currentPerson()).role !== 'lead') throw new HttpError(403, 'The shop lead sets the limits.');
  await setLimits(await jsonBody(request, limitsSchema, 1000));
  await rebuildSummaries();
  return Response.json({ limits: await siteLimits() });
});
