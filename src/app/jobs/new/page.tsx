import type { Metadata } from 'next';
import { currentPerson } from '@/server/current-person';
import { machines } from '@/server/jobs';
import { people } from '@/server/people';
import { NewJob } from '@/ui/board/new-job';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New job' };

export default async function NewJobPage() {
  const [known, everybody, person] = await Promise.all([machines(), people(), currentPerson()]);
  return <NewJob machines={known} people={everybody} person={person} />;
}
