import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { consequences, siteLimits, listedDrives } from '@/server/administration/settings';
import { dailyHeads } from '@/server/logbook/daily-heads';
import { AdministrationPage } from '@/ui/shop/administration/administration-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Site settings' };

export default async function Page() {
  const [within, table, drives, heads, everybody, person] = await Promise.all([
    siteLimits(),
    consequences(),
    listedDrives(),
    dailyHeads(7),
    people(),
    currentPerson(),
  ]);
  return (
    <AdministrationPage
      limits={within}
      consequences={table}
      drives={drives}
      heads={heads}
      people={everybody}
      person={person}
    />
  );
}
