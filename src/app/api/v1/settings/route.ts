import { setLimits, siteLimits } from '@/server/administration/settings';
import { rebuildSummaries } from '@/server/logbook/summaries';
import { jsonRoute } from '@/server/http/route';

export const GET = jsonRoute('GET /api/v1/settings', async () => ({ limits: await siteLimits() }));

/** The shop lead may lower the limits for the site; nobody can raise them above the usual ones. */
export const PUT = jsonRoute('PUT /api/v1/settings', async ({ body }) => {
  await setLimits(body);
  await rebuildSummaries('open');
  return { limits: await siteLimits() };
});
