import { readDrive } from '@/server/drive-link/drives';
import { jsonRoute } from '@/server/http/route';

/** A whole read-out of one drive; the page keeps it as an entry. */
export const POST = jsonRoute('POST /api/v1/drives/read', ({ body: { target, typeId } }) =>
  readDrive(target, typeId),
);
