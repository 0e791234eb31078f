import { finishType } from '@/server/equipment/type-drafts';
import { jsonRoute } from '@/server/http/route';

/** Makes a type of the workshop's own from a draft. */
export const POST = jsonRoute('POST /api/v1/type-drafts/:id/type', async ({ params, body, person }) =>
  finishType(params.id, body, (await person()).id),
);
