import { databaseNow } from '../clock';
import { generation } from '../database/generation';
import { HttpError, idOf } from '../http/guard';
import { jsonRoute } from '../http/route';
import { personById } from '../people/people';
import { entriesAfter, mostEntries, withoutHash } from './entries';
import { postEntries } from './post-entries';

const noSuchJob = () => new HttpError(404, 'No such job.');

/** Entries after a seq, at most 1000, with the server's clock for the countdowns. */
export const getEntriesRoute = jsonRoute('GET /api/v1/jobs/:id/entries', async ({ params, query }) => {
  const entries = await entriesAfter(idOf(params.id, 'job'), query.after);
  if (entries === null) throw noSuchJob();
  return {
    entries: entries.map(withoutHash),
    more: entries.length === mostEntries,
    now: (await databaseNow()).toISOString(),
    generation: await generation(),
  };
});

/** Records entries, with a verdict for each. The same again is harmless. */
export const postEntriesRoute = jsonRoute(
  'POST /api/v1/jobs/:id/entries',
  async ({ params, body, person }) => {
    const by = body.person === undefined ? await person() : await personById(body.person);
    if (by === null) throw new HttpError(403, 'The person who made these entries no longer works here.');
    const answer = await postEntries(idOf(params.id, 'job'), body.entries, by);
    if (answer === null) throw noSuchJob();
    return answer;
  },
);
