import type { Metadata } from 'next';
import { catalogue } from '@/server/catalogue';
import { currentPerson } from '@/server/current-person';
import { people } from '@/server/people';
import { RigPage } from '@/ui/rig/rig-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Rig' };

export default async function Page() {
  const [types, everybody, person] = await Promise.all([catalogue(), people(), currentPerson()]);
  return <RigPage types={types} people={everybody} person={person} />;
}
