import { jsonRoute } from '@/server/http/route';
import { keepText } from '@/server/logbook/blobs';

/** Keeps a trend; answers with its address. */
export const POST = jsonRoute('POST /api/v1/trends', async ({ body }) => ({
  sha256: await keepText(JSON.stringify(body), 'application/json'),
}));
