import { guardedRoute, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { scan } from '@/server/drive-link/drives';
import { drivesSchema, listedDrives, setListedDrives } from '@/server/administration/settings';

export const dynamic = 'force-dynamic';

/** What answers at the known addresses. */
export const GET = guardedRoute(async () => Response.json({ found: await scan() }));

/** The shop lead lists the drives that may be talked to. */
export const PUT = guardedRoute(async (request) => {
  if ((await currentPerson()).role !== 'lead') throw new HttpError(403, 'The shop lead keeps this list.');
  await setListedDrives(await jsonBody(request, drivesSchema, 32 * 1024));
  return Response.json({ drives: await listedDrives() });
});
