import * as z from 'zod';
import { heaviestPayload, newEntriesSchema } from '@/core/logbook/schema';
import { guardedRoute, idOf, jsonBody, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';
import { appendEntries, entriesAfter, type NewEntry } from '@/server/logbook/jobs';

interface Params {
  params: Promise<{ id: string }>;
}

const heaviest = 4 * 1024 * 1024;

/** `person`: for whom the client made the entries; they are not to be signed by another. */
const bodySchema = z.strictObject({ person: z.string().optional(), entries: newEntriesSchema });

const jobIdOf = async ({ params }: Params): Promise<string> => idOf((await params).id, 'job');

/** Entries after a seq, with the server's clock for the countdowns. */
export const GET = guardedRoute(async (request, context: Params) => {
  const after = z.coerce
    .number()
    .int()
    .min(0)
    .catch(0)
    .parse(new URL(request.url).searchParams.get('after') ?? 0);
  const entries = await entriesAfter(await jobIdOf(context), after);
  if (entries === null) throw new HttpError(404, 'There is no such job.');
  return Response.json({ entries, now: new Date().toISOString() });
});

/** Appends entries. The same again is harmless (200); same id with other content is refused (409). */
export const POST = guardedRoute(async (request, context: Params) => {
  const jobId = await jobIdOf(context);
  const { entries, person } = await jsonBody(request, bodySchema, heaviest);
  const current = await currentPerson();
  if (person !== undefined && person !== current.id)
    throw new HttpError(
      409,
      'Someone else was chosen in the header meanwhile. Choose yourself again and enter this once more.',
    );
  if (entries.some((e) => e.jobId !== jobId)) throw new HttpError(422, 'An entry belongs to another job.');
  if (entries.some((e) => JSON.stringify(e.payload).length > heaviestPayload))
    throw new HttpError(413, 'An entry may carry at most 64 kB; photographs go to /api/v1/blobs.');
  const answer = await appendEntries(jobId, entries as NewEntry[], current);
  if ('kept' in answer) return Response.json({ entries: answer.kept, now: new Date().toISOString() });
  if (answer.refused === 'no-such-job') throw new HttpError(404, 'There is no such job.');
  throw new HttpError(409, `Entry ${answer.id} was kept before with other content.`);
});
