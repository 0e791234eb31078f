import type { Metadata } from 'next';
import { currentPerson } from '@/server/current-person';
import { people } from '@/server/people';
import { ownTraceTables } from '@/server/settings';
import { TraceTablesPage } from '@/ui/trace-tables/trace-tables-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Trace tables' };

export default async function Page() {
  const [own, everybody, person] = await Promise.all([ownTraceTables(), people(), currentPerson()]);
  return <TraceTablesPage own={own} people={everybody} person={person} />;
}
