import { cookies } from 'next/headers';
import { HttpError } from '@/server/http/guard';
import { jsonRoute } from '@/server/http/route';
import { personCookie } from '@/server/people/asking';
import { personById } from '@/server/people/people';

/** Chooses who works here. Sign-in will take this place. */
export const POST = jsonRoute('POST /api/v1/person', async ({ body: { id } }) => {
  const person = await personById(id);
  if (person === null) throw new HttpError(404, 'No such person.');
  (await cookies()).set(personCookie, person.id, {
    httpOnly: true,
    sameSite: 'strict',
    maxAge: 365 * 86_400,
  });
  return { person };
});
