import { blob } from '@/server/logbook/blobs';
import { guardedRoute, HttpError } from '@/server/http/guard';

/** A photograph by its address; it never changes. */
export const GET = guardedRoute(async (_request, { params }: { params: Promise<{ sha: string }> }) => {
  const found = await blob((await params).sha);
  if (found === null) throw new HttpError(404, 'No such picture.');
  return new Response(new Uint8Array(found.bytes), {
    headers: { 'content-type': found.mediaType, 'cache-control': 'private, max-age=31536000, immutable' },
  });
});
