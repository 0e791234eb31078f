import * as z from 'zod';
import { guarded, jsonBody } from '@/server/http/border';
import { readOut } from '@/server/drive-link/drives';

const asked = z.strictObject({ target: z.string().max(100), typeId: z.string().max(100) });

/** A whole read-out of one drive; the page keeps it as an entry. */
export const POST = guarded(async (request) => {
  const { target, typeId } = await jsonBody(request, asked, 1000);
  return Response.json(await readOut(target, typeId));
});
