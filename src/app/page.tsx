import { board } from '@/server/jobs';
import { currentPerson } from '@/server/current-person';
import { people } from '@/server/people';
import { Board } from '@/ui/board/board';

export const dynamic = 'force-dynamic';

export default async function BoardPage() {
  const [jobs, everybody, person] = await Promise.all([board(), people(), currentPerson()]);
  return <Board jobs={jobs} people={everybody} person={person} />;
}
