import { board } from '@/server/logbook/jobs';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { Board } from '@/ui/shop/board/board';

export const dynamic = 'force-dynamic';

export default async function BoardPage() {
  const [jobs, everybody, person] = await Promise.all([board(), people(), currentPerson()]);
  return <Board jobs={jobs} people={everybody} person={person} />;
}
