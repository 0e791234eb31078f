import { ownTraceTables, setTraceTables, settingVersion } from '@/server/administration/settings';
import { jsonRoute } from '@/server/http/route';

export const dynamic = 'force-dynamic';

/** Tables of the shop's own; all others are the usual ones. */
export const GET = jsonRoute('GET /api/v1/trace-tables', async () => ({
  version: await settingVersion('trace-tables'),
  own: await ownTraceTables(),
}));

/** The shop lead writes down what the shop has seen. */
export const PUT = jsonRoute('PUT /api/v1/trace-tables', async ({ body, query }) => {
  const version = await setTraceTables(body, query.seen);
  return { own: await ownTraceTables(), version };
});
