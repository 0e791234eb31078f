import type { Metadata } from 'next';
import { health } from '@/server/health/health';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { HealthPage } from '@/ui/shop/health/health-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'System status' };

/** It stands also where the database does not. */
export default async function Page() {
  const now = await health();
  const [everybody, person] = now.ok ? await Promise.all([people(), currentPerson()]) : [[], null];
  return <HealthPage health={now} people={everybody} person={person} />;
}
