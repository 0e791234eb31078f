import { jsonRoute } from '@/server/http/route';
import { chooseTerms } from '@/server/people/people';

/** Chooses the terms and units of one's own pages. */
export const PUT = jsonRoute('PUT /api/v1/person/terms', async ({ body: { terms }, person }) => {
  await chooseTerms((await person()).id, terms);
  return { terms };
});
