import * as z from 'zod';
import { guardedRoute, jsonBody } from '@/server/http/border';
import { readDrive } from '@/server/drive-link/drives';

const asked = z.strictObject({ target: z.string().max(100), typeId: z.string().max(100) });

/** A whole read-out of one drive; the page keeps it as an entry. */
export const POST = guardedRoute(async (request) => {
  const { target, typeId } = await jsonBody(request, asked, 1000);
  return Response.json(await readDrive(target, typeId));
});
