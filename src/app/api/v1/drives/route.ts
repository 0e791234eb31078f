import { setListedDrives } from '@/server/administration/settings';
import { scan } from '@/server/drive-link/drives';
import { jsonRoute } from '@/server/http/route';

export const dynamic = 'force-dynamic';

/** What answers at the known addresses. */
export const GET = jsonRoute('GET /api/v1/drives', async () => ({ found: await scan() }));

/** The shop lead lists the drives that may be talked to. */
export const PUT = jsonRoute('PUT /api/v1/drives', async ({ body, query }) => {
  const version = await setListedDrives(body, query.seen);
  return { drives: body, version };
});
