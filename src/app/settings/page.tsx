import type { Metadata } from 'next';
import { currentPerson } from '@/server/current-person';
import { people } from '@/server/people';
import { limits } from '@/server/settings';
import { SettingsPage } from '@/ui/settings/settings-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Site settings' };

export default async function Page() {
  const [within, everybody, person] = await Promise.all([limits(), people(), currentPerson()]);
  return <SettingsPage limits={within} people={everybody} person={person} />;
}
