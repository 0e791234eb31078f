import { LinkRefused } from '@/server/drive-link/drives';
import { writeEntry } from '@/server/drive-link/write-value';
import { HttpError } from '@/server/http/border';
import { jsonRoute } from '@/server/http/route';

/** Writes one entry of one drive. The page has kept what it asks for before it asks. */
export const POST = jsonRoute('POST /api/v1/drives/write', async ({ body: { confirmed: _, ...order } }) => {
  try {
    return await writeEntry(order);
  } catch (error) {
    if (!(error instanceof HttpError)) throw error;
    const uncertain = error instanceof LinkRefused && error.code === 'uncertain';
    throw new HttpError(uncertain ? 502 : error.status, error.message, [], !uncertain);
  }
});
