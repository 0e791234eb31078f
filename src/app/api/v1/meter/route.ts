import { guardedRoute } from '@/server/http/guard';
import { meterEvents } from '@/server/bench/meter';

export const dynamic = 'force-dynamic';

/** The lines of the meter as they come (docs/meter-lines.md). */
export const GET = guardedRoute(
  async (request) =>
    new Response(meterEvents(request.signal), {
      headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' },
    }),
);
