import { catalogue, keepType } from '@/server/equipment/catalogue';
import { HttpError } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';

export const dynamic = 'force-dynamic';

export const GET = jsonRoute('GET /api/v1/catalogue', async () => ({ types: await catalogue() }));

/** Checks a type that a workshop wrote; with `keep` the shop lead adds it to the catalogue. */
export const POST = jsonRoute(
  'POST /api/v1/catalogue',
  async ({ body: { keep, note = '', seen, ...files }, person }) => {
    const { id: byId, role } = await person();
    if (keep && role !== 'lead') throw new HttpError(403, 'Only the shop lead can add to the catalogue.');
    return keepType(files, { keep, byId, note, seen: seen ?? null });
  },
);
