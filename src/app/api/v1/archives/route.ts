import { heaviestArchive, takeIn } from '@/server/job/archive';
import { guarded, Refused } from '@/server/http/border';
import { currentPerson } from '@/server/people/current-person';

/** Takes a job in from an archive of another installation. */
export const POST = guarded(async (request: Request) => {
  const person = await currentPerson();
  if (person.role === 'apprentice') throw new Refused(403, 'A technician or the lead takes archives in.');
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.length > heaviestArchive) throw new Refused(413, 'An archive may weigh at most 200 MB.');
  return Response.json(await takeIn(bytes), { status: 201 });
});
