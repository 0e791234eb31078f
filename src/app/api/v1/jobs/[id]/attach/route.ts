import { idOf } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { attachSheet } from '@/server/logbook/attach-sheet';

/** Moves the entries of a loose sheet to a job; asked again for the same job it is harmless. */
export const POST = jsonRoute('POST /api/v1/jobs/:id/attach', async ({ params, body, person }) =>
  attachSheet(idOf(params.id, 'job'), body.toJobId, await person()),
);
