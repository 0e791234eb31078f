import { guarded } from '@/server/http/border';
import { people } from '@/server/people/people';

export const dynamic = 'force-dynamic';

/** Up, with its database. */
export const GET = guarded(async () => Response.json({ ok: true, people: (await people()).length }));
