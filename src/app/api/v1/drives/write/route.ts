import * as z from 'zod';
import { guardedRoute, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { writeEntry } from '@/server/drive-link/write-value';
import { LinkRefused } from '@/server/drive-link/drives';

const asked = z.strictObject({
  target: z.string().max(100),
  typeId: z.string().max(100),
  number: z.string().max(12),
  from: z.number(),
  to: z.number(),
  /** The person said yes to what may move. */
  confirmed: z.literal(true),
});

/** Writes one entry of one drive. The page has kept what it asks for before it asks. */
export const POST = guardedRoute(async (request) => {
  const { confirmed: _, ...order } = await jsonBody(request, asked, 2000);
  if ((await currentPerson()).role === 'apprentice')
    throw new HttpError(403, 'A technician or the lead writes to a drive.');
  try {
    return Response.json(await writeEntry(order));
  } catch (error) {
    if (error instanceof LinkRefused && error.code === 'uncertain')
      return Response.json({ error: error.message, certain: false }, { status: 502 });
    if (error instanceof HttpError)
      return Response.json({ error: error.message, certain: true }, { status: error.status });
    throw error;
  }
});
