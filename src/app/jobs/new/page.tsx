import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { uuidSchema } from '@/server/http/guard';
import { machines } from '@/server/logbook/machines';
import { people } from '@/server/people/people';
import { NewJob } from '@/ui/shop/board/new-job';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New job' };

interface Props {
  searchParams: Promise<{ sheet?: string | string[] }>;
}

export default async function NewJobPage({ searchParams }: Props) {
  const sheet = uuidSchema.safeParse((await searchParams).sheet);
  const [known, everybody, person] = await Promise.all([machines(), people(), currentPerson()]);
  return <NewJob machines={known} sheetId={sheet.data} people={everybody} person={person} />;
}
