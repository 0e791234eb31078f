import { ownTraceTables, setTraceTables } from '@/server/administration/settings';
import { jsonRoute } from '@/server/http/route';

export const dynamic = 'force-dynamic';

/** Tables of the shop's own; all others are the usual ones. */
export const GET = jsonRoute('GET /api/v1/trace-tables', async () => ({ own: await ownTraceTables() }));

/** The shop lead writes down what the shop has seen. */
export const PUT = jsonRoute('PUT /api/v1/trace-tables', async ({ body }) => {
  await setTraceTables(body);
  return { own: await ownTraceTables() };
});
