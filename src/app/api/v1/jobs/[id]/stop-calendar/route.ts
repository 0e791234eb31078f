import * as z from 'zod';
import { guardedRoute, idOf, HttpError } from '@/server/http/guard';
import { jobOrRefusal } from '@/server/logbook/folded';
import { stopCalendar } from '@/server/documents/replacement';

const query = z.object({ from: z.iso.datetime() });

/** The kept plan of the stop as a calendar file, `?from=` when the machine is to stand. */
export const GET = guardedRoute(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const id = idOf((await params).id, 'job');
  const asked = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) throw new HttpError(422, 'from is a time, e.g. 2026-11-26T05:00:00Z.');
  const text = await stopCalendar(await jobOrRefusal(id), new Date(asked.data.from));
  return new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="stop.ics"',
      'cache-control': 'no-store',
    },
  });
});
