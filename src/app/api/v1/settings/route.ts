import { guarded, jsonBody, Refused } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { rebuildSummaries } from '@/server/logbook/jobs';
import { limits, limitsSchema, setLimits } from '@/server/administration/settings';

export const GET = guarded(async () => Response.json({ limits: await limits() }));

/** The shop lead may lower the limits for the site; nobody can raise them above the usual ones. */
export const PUT = guarded(async (request) => {
  if ((await currentPerson()).role !== 'lead') throw new Refused(403, 'The shop lead sets the limits.');
  await setLimits(await jsonBody(request, limitsSchema, 1000));
  await rebuildSummaries();
  return Response.json({ limits: await limits() });
});
