import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { consequences, siteLimits, listedDrives, settingVersion } from '@/server/administration/settings';
import { dailyHeads } from '@/server/logbook/daily-heads';
import { AdministrationPage } from '@/ui/shop/administration/administration-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Administration' };

export default async function Page() {
  // Versions before what they are of: a change in between is a clash when it is saved, never lost.
  const [limits, table, listed] = await Promise.all([
    settingVersion('limits'),
    settingVersion('consequences'),
    settingVersion('drives'),
  ]);
  const [within, lines, drives, heads, everybody, person] = await Promise.all([
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
      consequences={lines}
      drives={drives}
      seen={{ limits, consequences: table, drives: listed }}
      heads={heads}
      people={everybody}
      person={person}
    />
  );
}
