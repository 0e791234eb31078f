import { setLimits, settingVersion, siteLimits } from '@/server/administration/settings';
import { rebuildSummaries } from '@/server/logbook/summaries';
import { jsonRoute } from '@/server/http/route';

export const GET = jsonRoute('GET /api/v1/settings', async () => ({
  version: await settingVersion('limits'),
  limits: await siteLimits(),
}));

/** The shop lead may lower the limits for the site; nobody can raise them above the usual ones. */
export const PUT = jsonRoute('PUT /api/v1/settings', async ({ body, query }) => {
  const version = await setLimits(body, query.seen);
  await rebuildSummaries('open');
  return { limits: body, version };
});
