import * as z from 'zod';
import { newEntrySchema } from '@/core/logbook/schema';
import { guardedRoute, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { board, openJob, type NewEntry } from '@/server/logbook/jobs';

const heaviest = 64 * 1024;
const isOpening = (entry: NewEntry): entry is Extract<NewEntry, { kind: 'job.opened' }> =>
  entry.kind === 'job.opened';

export const GET = guardedRoute(async () => Response.json({ jobs: await board() }));

/** Opens a job. The ids are made by the client, so sending twice is harmless. */
export const POST = guardedRoute(async (request) => {
  const { entry } = await jsonBody(request, z.strictObject({ entry: newEntrySchema }), heaviest);
  const opening = entry as NewEntry;
  if (!isOpening(opening)) throw new HttpError(422, 'A job begins with job.opened.');
  const answer = await openJob(opening, await currentPerson());
  if ('refused' in answer) throw new HttpError(409, 'This job was opened with other words before.');
  return Response.json({ jobId: opening.jobId, entries: answer.kept }, { status: 201 });
});
