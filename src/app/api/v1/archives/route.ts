import { bodyBytes } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { heaviestArchive, takeIn } from '@/server/job/archive';

/** Takes a job in from an archive of another installation. */
export const POST = jsonRoute('POST /api/v1/archives', async ({ request, person }) => {
  const bytes = new Uint8Array(await bodyBytes(request, heaviestArchive));
  return takeIn(bytes, (await person()).id);
});
