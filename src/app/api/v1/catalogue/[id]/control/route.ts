import { controlOf } from '@/server/equipment/catalogue';
import { HttpError } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';

/** Settings, alarms and bus of one drive type. */
export const GET = jsonRoute(
  'GET /api/v1/catalogue/:id/control',
  async ({ params }) => {
    const control = await controlOf(params.id);
    if (control === null) throw new HttpError(404, 'The parameters of this type are not in the catalogue.');
    return control;
  },
  // Trace and settings both ask for it; a type of the shop's own may change.
  { 'cache-control': 'private, max-age=60' },
);
