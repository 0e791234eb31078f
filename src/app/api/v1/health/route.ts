import { guardedRoute, jsonAnswer } from '@/server/http/border';
import { people } from '@/server/people/people';

export const dynamic = 'force-dynamic';

/** Up, with its database. */
export const GET = guardedRoute(async () => jsonAnswer({ ok: true, people: (await people()).length }));
