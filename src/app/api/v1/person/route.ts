import { cookies } from 'next/headers';
import * as z from 'zod';
import { guardedRoute, jsonBody, HttpError } from '@/server/http/border';
import { personCookie } from '@/server/people/current-person';
import { personById } from '@/server/people/people';

/** Chooses who works here. Sign-in will take this place. */
export const POST = guardedRoute(async (request) => {
  const { id } = await jsonBody(request, z.strictObject({ id: z.string().max(60) }), 1000);
  const person = await personById(id);
  if (person === null) throw new HttpError(404, 'There is no such person.');
  (await cookies()).set(personCookie, person.id, {
    httpOnly: true,
    sameSite: 'strict',
    maxAge: 365 * 86_400,
  });
  return Response.json({ person });
});
