import { guardedRoute } from '@/server/http/border';
import { people } from '@/server/people/people';

export const dynamic = 'force-dynamic';

/** Up, with its database. */
export const GET = guardedRoute(async () => Response.json({ ok: true, people: (await people()).length }));
