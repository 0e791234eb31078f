import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { consequences, siteLimits, listedDrives } from '@/server/administration/settings';
import { AdministrationPage } from '@/ui/shop/administration/administration-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Site settings' };

export default async function Page() {
  const [within, table, drives, everybody, person] = await Promise.all([
    siteLimits(),
    consequences(),
    listedDrives(),
    people(),
    currentPerson(),
  ]);
  return (
    <AdministrationPage
      limits={within}
      consequences={table}
      drives={drives}
      people={everybody}
      person={person}
    />
  );
}
