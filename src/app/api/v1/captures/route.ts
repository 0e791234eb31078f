import { jsonRoute } from '@/server/http/route';
import { keepText } from '@/server/logbook/blobs';

/** Keeps the samples of a scope's capture; answers with their address. */
export const POST = jsonRoute('POST /api/v1/captures', async ({ body }) => ({
  sha256: await keepText(JSON.stringify(body), 'application/json'),
}));
