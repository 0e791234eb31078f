import { guarded } from '@/server/border';
import { people } from '@/server/people';

export const dynamic = 'force-dynamic';

/** Up, with its database. */
export const GET = guarded(async () => Response.json({ ok: true, people: (await people()).length }));
