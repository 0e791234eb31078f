import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { machines } from '@/server/logbook/machines';
import { people } from '@/server/people/people';
import { NewJob } from '@/ui/shop/board/new-job';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New job' };

export default async function NewJobPage() {
  const [known, everybody, person] = await Promise.all([machines(), people(), currentPerson()]);
  return <NewJob machines={known} people={everybody} person={person} />;
}
