import { bodyBytes } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { keepPhoto } from '@/server/logbook/blobs';
import { heaviestPhoto } from '@/server/pictures';

/** Keeps a photograph, scaled and without metadata; answers with its address. */
export const POST = jsonRoute('POST /api/v1/blobs', async ({ request }) => ({
  sha256: await keepPhoto(await bodyBytes(request, heaviestPhoto)),
}));
