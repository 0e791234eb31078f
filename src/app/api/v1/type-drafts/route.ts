import { typeDrafts } from '@/server/equipment/type-drafts';
import { jsonRoute } from '@/server/http/route';

export const dynamic = 'force-dynamic';

/** Drive types in the making. */
export const GET = jsonRoute('GET /api/v1/type-drafts', async () => ({ drafts: await typeDrafts() }));
