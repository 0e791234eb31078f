import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { ownTraceTables } from '@/server/administration/settings';
import { TraceTablesPage } from '@/ui/shop/trace-tables/trace-tables-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Trace tables' };

export default async function Page() {
  const [own, everybody, person] = await Promise.all([ownTraceTables(), people(), currentPerson()]);
  return <TraceTablesPage own={own} people={everybody} person={person} />;
}
