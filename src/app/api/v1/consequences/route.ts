import { consequencesSchema } from '@/core/bench/story/schema';
import { guarded, jsonBody, Refused } from '@/server/border';
import { currentPerson } from '@/server/current-person';
import { consequences, setConsequences } from '@/server/settings';

export const GET = guarded(async () => Response.json({ consequences: await consequences() }));

/** The shop lead writes down what the shop has seen. */
export const PUT = guarded(async (request) => {
  if ((await currentPerson()).role !== 'lead') throw new Refused(403, 'The shop lead keeps this table.');
  await setConsequences(await jsonBody(request, consequencesSchema, 64 * 1024));
  return Response.json({ consequences: await consequences() });
});
