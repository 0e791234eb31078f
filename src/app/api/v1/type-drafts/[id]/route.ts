import { keepDraft } from '@/server/equipment/type-drafts';
import { HttpError } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';

/** Stores a drive type in the making. */
export const PUT = jsonRoute('PUT /api/v1/type-drafts/:id', async ({ params, query, body, person }) => {
  if (params.id !== body.id) throw new HttpError(422, 'The address names another draft than the body.');
  return { version: await keepDraft(body, query.seen, (await person()).id) };
});
