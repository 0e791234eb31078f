import { writeAsked } from '@/server/drive-link/write-asked';
import { jsonRoute } from '@/server/http/route';

/** Writes one entry of the drive of a job: the log has it before it is sent, and what became of it. */
export const POST = jsonRoute('POST /api/v1/drives/write', async ({ body, person }) =>
  writeAsked(body, await person()),
);
