import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { readTraceTables, settingVersion } from '@/server/administration/settings';
import { TraceTablesPage } from '@/ui/shop/trace-tables/trace-tables-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Trace tables' };

export default async function Page() {
  // Before the tables: a change in between is a clash when they are saved, never lost.
  const seen = await settingVersion('trace-tables');
  const [{ tables, broken }, everybody, person] = await Promise.all([
    readTraceTables(),
    people(),
    currentPerson(),
  ]);
  return <TraceTablesPage own={tables} broken={broken} seen={seen} people={everybody} person={person} />;
}
