import { guarded } from '@/server/border';
import { scan } from '@/server/drives';

export const dynamic = 'force-dynamic';

/** What answers at the known addresses. */
export const GET = guarded(async () => Response.json({ found: await scan() }));
