import { heaviestArchive, takeIn } from '@/server/job/archive';
import { guardedRoute, HttpError } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';

/** Takes a job in from an archive of another installation. */
export const POST = guardedRoute(async (request: Request) => {
  const person = await currentPerson();
  if (person.role === 'apprentice') throw new HttpError(403, 'A technician or the lead takes archives in.');
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.length > heaviestArchive) throw new HttpError(413, 'An archive may weigh at most 200 MB.');
  return Response.json(await takeIn(bytes), { status: 201 });
});
