import * as z from 'zod';
import { guardedRoute, idOf, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { makeRun, orderRun, runsOfJob } from '@/server/parameter-sets/write-run';

interface Params {
  params: Promise<{ id: string }>;
}

const positive = z.number().positive();
const asked = z.strictObject({
  id: z.uuid({ version: 'v7' }),
  set: z.uuid(),
  name: z.string().min(1).max(200),
  target: z.string().max(100),
  typeId: z.string().max(100),
  rating: z.strictObject({ ratedAmps: positive, power_kW: positive, supply_V: positive }),
  expects: z
    .array(z.strictObject({ number: z.string().max(12), from: z.number().nullable(), to: z.number() }))
    .max(400),
  /** The person said yes to run open, enable open, people clear. */
  confirmed: z.literal(true),
});

/** The newest runs of a job with their lines. */
export const GET = guardedRoute(async (_request, { params }: Params) =>
  Response.json({ runs: await runsOfJob(idOf((await params).id, 'job')) }),
);

/** Begins a run; the same id again is harmless. */
export const POST = guardedRoute(async (request, { params }: Params) => {
  const jobId = idOf((await params).id, 'job');
  const { confirmed: _, set: setId, ...order } = await jsonBody(request, asked, 100_000);
  const by = await currentPerson();
  if (by.role === 'apprentice') throw new HttpError(403, 'A technician or the lead writes to a drive.');
  await makeRun({ ...order, jobId, setId }, by);
  await orderRun(order.id, by.id, 'go-on');
  return Response.json({});
});
