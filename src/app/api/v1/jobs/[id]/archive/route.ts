import { archiveOfJob } from '@/server/job/archive';
import { guardedRoute, idOf, HttpError } from '@/server/http/guard';

/** The whole job as one open archive (.zip). */
export const GET = guardedRoute(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const id = idOf((await params).id, 'job');
  const zip = await archiveOfJob(id);
  if (zip === null) throw new HttpError(404, 'No such job.');
  return new Response(new Uint8Array(zip), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="job-${id.slice(-12)}.zip"`,
      'cache-control': 'no-store',
    },
  });
});
