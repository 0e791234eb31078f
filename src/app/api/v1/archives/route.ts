import { HttpError } from '@/server/http/border';
import { jsonRoute } from '@/server/http/route';
import { heaviestArchive, takeIn } from '@/server/job/archive';

/** Takes a job in from an archive of another installation. */
export const POST = jsonRoute('POST /api/v1/archives', async ({ request }) => {
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.length > heaviestArchive) throw new HttpError(413, 'An archive may weigh at most 200 MB.');
  return takeIn(bytes);
});
