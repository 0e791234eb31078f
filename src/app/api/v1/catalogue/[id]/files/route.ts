import { editedType } from '@/server/equipment/catalogue';
import { jsonRoute } from '@/server/http/route';

export const dynamic = 'force-dynamic';

/** Both files of a type as they were written, and its versions. */
export const GET = jsonRoute('GET /api/v1/catalogue/:id/files', ({ params }) => editedType(params.id));
