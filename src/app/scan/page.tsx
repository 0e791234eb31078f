import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { ScanPage } from '@/ui/shop/scan/scan-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Find a wire' };

export default async function Page() {
  const [everybody, person] = await Promise.all([people(), currentPerson()]);
  return <ScanPage people={everybody} person={person} />;
}
