import { versionOf } from '@/server/equipment/type-versions';
import { jsonRoute } from '@/server/http/route';

export const dynamic = 'force-dynamic';

/** Both files of an earlier version of a type. */
export const GET = jsonRoute('GET /api/v1/catalogue/:id/versions/:version', ({ params }) =>
  versionOf(params.id, /^\d{1,6}$/.test(params.version) ? Number(params.version) : 0),
);
