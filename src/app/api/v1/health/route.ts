import { guardedRoute, jsonAnswer } from '@/server/http/guard';
import { health } from '@/server/health/health';

export const dynamic = 'force-dynamic';

/** How the server is; 503 where it cannot record. */
export const GET = guardedRoute(async () => {
  const now = await health();
  return jsonAnswer(now, { status: now.ok ? 200 : 503 });
});
