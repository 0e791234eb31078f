import { captureSchema } from '@/core/power-up/capture/schema';
import { keepText } from '@/server/logbook/blobs';
import { guardedRoute, jsonBody } from '@/server/http/border';

/** Keeps the samples of a scope's capture; answers with their address. */
export const POST = guardedRoute(async (request) => {
  const capture = await jsonBody(request, captureSchema, 6 * 1024 * 1024);
  return Response.json(
    { sha256: await keepText(JSON.stringify(capture), 'application/json') },
    { status: 201 },
  );
});
