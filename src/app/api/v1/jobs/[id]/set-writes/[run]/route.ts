import * as z from 'zod';
import { guardedRoute, idOf, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { orderRun, runById, runDeeds } from '@/server/parameter-sets/write-run';

interface Params {
  params: Promise<{ id: string; run: string }>;
}

const asked = z.strictObject({
  do: z.enum(runDeeds),
  /** Where values go to the drive again: yes to run open, enable open, people clear. */
  confirmed: z.literal(true).optional(),
});

/** Goes on with a run, leaves a value out, pauses, ends it is, or compares again. */
export const POST = guardedRoute(async (request, { params }: Params) => {
  const path = await params;
  const [jobId, id] = [idOf(path.id, 'job'), idOf(path.run, 'run')];
  const { do: deed, confirmed } = await jsonBody(request, asked, 1000);
  const by = await currentPerson();
  if (by.role === 'apprentice') throw new HttpError(403, 'A technician or the lead writes to a drive.');
  const run = await runById(id);
  if (run.jobId !== jobId) throw new HttpError(404, 'There is no such run in this job.');
  const writes = deed === 'go-on' || deed === 'leave-out';
  if (writes && confirmed !== true) throw new HttpError(422, 'Somebody at the drive says yes first.');
  await orderRun(id, by.id, deed);
  return Response.json({});
});
