import * as z from 'zod';
import { endOf } from '@/core/replacement/wires';
import { guardedRoute, idOf, HttpError } from '@/server/http/guard';
import { jobOrRefusal } from '@/server/logbook/folded';
import { labelSheets, labelsOf, wiredJob } from '@/server/documents/replacement';
import { printed, usualForm } from '@/server/documents/print';
import { personOf } from '@/server/people/asking';
import { keysOf } from '@/core/numerics/arrays';

const query = z.object({
  sheet: z.enum(keysOf(labelSheets)).default('a4-3x8'),
  skip: z.coerce.number().int().min(0).max(99).default(0),
});

/** Labels for both ends of every wire: `?sheet=` one of the common grids, `&skip=` used already on the first. */
export const GET = guardedRoute(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const id = idOf((await params).id, 'job');
  const asked = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success)
    throw new HttpError(422, `sheet is one of ${Object.keys(labelSheets).join(', ')}; skip is 0 to 99.`);
  const job = await jobOrRefusal(id);
  const made = await wiredJob(job);
  const { wires } = made.state.swap;
  if (wires.length === 0) throw new HttpError(422, 'No wires listed yet.');
  const placementOf = new Map((made.swap.map?.fates ?? []).map((f) => [f.wire, f]));
  const labels = labelsOf(wires, (wire) => endOf(placementOf.get(wire.id)));
  const form = usualForm(job);
  const { id: who } = await personOf(request);
  const pdf = await printed('wire-labels', { jobId: id, labels, ...asked.data }, form, who, request.signal);
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'attachment; filename="wire-labels.pdf"',
      'cache-control': 'no-store',
    },
  });
});
