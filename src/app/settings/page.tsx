import type { Metadata } from 'next';
import { currentPerson } from '@/server/current-person';
import { people } from '@/server/people';
import { consequences, limits } from '@/server/settings';
import { SettingsPage } from '@/ui/settings/settings-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Site settings' };

export default async function Page() {
  const [within, table, everybody, person] = await Promise.all([
    limits(),
    consequences(),
    people(),
    currentPerson(),
  ]);
  return <SettingsPage limits={within} consequences={table} people={everybody} person={person} />;
}
