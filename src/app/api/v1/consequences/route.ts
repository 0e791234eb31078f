import { consequences, setConsequences, settingVersion } from '@/server/administration/settings';
import { jsonRoute } from '@/server/http/route';

export const GET = jsonRoute('GET /api/v1/consequences', async () => ({
  version: await settingVersion('consequences'),
  consequences: await consequences(),
}));

/** The shop lead writes down what the shop has seen. */
export const PUT = jsonRoute('PUT /api/v1/consequences', async ({ body, query }) => {
  const version = await setConsequences(body, query.seen);
  return { consequences: body, version };
});
