import * as z from 'zod';
import { guardedRoute, jsonBody, HttpError } from '@/server/http/border';
import { catalogue, keepType } from '@/server/equipment/catalogue';
import { currentPerson } from '@/server/people/current-person';

export const dynamic = 'force-dynamic';

const file = z.string().max(1_000_000);
const written = z.strictObject({ type: file, control: file.nullable(), keep: z.boolean() });

export const GET = guardedRoute(async () => Response.json({ types: await catalogue() }));

/** Checks a type that a workshop wrote; with `keep` the shop lead adds it to the catalogue. */
export const POST = guardedRoute(async (request) => {
  const { keep, ...files } = await jsonBody(request, written, 2 * 1024 * 1024);
  const person = await currentPerson();
  if (keep && person.role !== 'lead') throw new HttpError(403, 'The shop lead adds to the catalogue.');
  const checked = await keepType(files, { keep, byId: person.id });
  return Response.json(checked, { status: checked.problems.length > 0 ? 422 : 200 });
});
