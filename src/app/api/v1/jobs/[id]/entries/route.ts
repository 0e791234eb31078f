import { heaviestPayload } from '@/core/logbook/schema';
import { HttpError, idOf } from '@/server/http/border';
import { jsonRoute } from '@/server/http/route';
import { appendEntries, entriesAfter } from '@/server/logbook/jobs';
import { serverNow } from '@/server/clock';

/** Entries after a seq, with the server's clock for the countdowns. */
export const GET = jsonRoute('GET /api/v1/jobs/:id/entries', async ({ params, query }) => {
  const entries = await entriesAfter(idOf(params.id, 'job'), query.after);
  if (entries === null) throw new HttpError(404, 'There is no such job.');
  return { entries, now: serverNow().toISOString() };
});

/** Appends entries. The same again is harmless (200); same id with other content is refused (409). */
export const POST = jsonRoute('POST /api/v1/jobs/:id/entries', async ({ params, body, person: who }) => {
  const jobId = idOf(params.id, 'job');
  const { entries, person } = body;
  const current = await who();
  if (person !== undefined && person !== current.id)
    throw new HttpError(
      409,
      'Someone else was chosen in the header meanwhile. Choose yourself again and enter this once more.',
    );
  if (entries.some((e) => e.jobId !== jobId)) throw new HttpError(422, 'An entry belongs to another job.');
  if (entries.some((e) => JSON.stringify(e.payload).length > heaviestPayload))
    throw new HttpError(413, 'An entry may carry at most 64 kB; photographs go to /api/v1/blobs.');
  const answer = await appendEntries(jobId, entries, current);
  if ('kept' in answer) return { entries: answer.kept, now: serverNow().toISOString() };
  if (answer.refused === 'no-such-job') throw new HttpError(404, 'There is no such job.');
  throw new HttpError(409, `Entry ${answer.id} was kept before with other content.`);
});
