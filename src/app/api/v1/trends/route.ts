import * as z from 'zod';
import { keepText } from '@/server/logbook/blobs';
import { guardedRoute, jsonBody } from '@/server/http/border';

/** Samples of a trend: seconds since its start, and a figure a series, null where none came. */
const trendSchema = z.strictObject({
  startedAt: z.iso.datetime(),
  names: z.array(z.string().min(1).max(60)).min(1).max(8),
  rows: z
    .array(z.tuple([z.number()], z.number().nullable()))
    .min(1)
    .max(20_000),
});

/** Keeps a trend; answers with its address. */
export const POST = guardedRoute(async (request) => {
  const trend = await jsonBody(request, trendSchema, 2 * 1024 * 1024);
  return Response.json(
    { sha256: await keepText(JSON.stringify(trend), 'application/json') },
    { status: 201 },
  );
});
