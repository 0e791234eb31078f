import type { Metadata } from 'next';
import { catalogue } from '@/server/equipment/catalogue';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { SimulatorPage } from '@/ui/shop/simulator/simulator-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Simulator' };

export default async function Page() {
  const [types, everybody, person] = await Promise.all([catalogue(), people(), currentPerson()]);
  return <SimulatorPage types={types} people={everybody} person={person} />;
}
