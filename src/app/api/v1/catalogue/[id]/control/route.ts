import { guardedRoute, HttpError } from '@/server/http/border';
import { controlOf } from '@/server/equipment/catalogue';

/** Settings, alarms and bus of one drive type. */
export const GET = guardedRoute(async (_request, { params }: { params: Promise<{ id: string }> }) => {
  const control = await controlOf((await params).id);
  if (control === null) throw new HttpError(404, 'The catalogue says nothing of the settings of this type.');
  // Trace and settings both ask for it; a type of the shop's own may change.
  return Response.json(control, { headers: { 'cache-control': 'private, max-age=60' } });
});
