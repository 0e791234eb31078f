import type { Metadata } from 'next';
import { typeDrafts } from '@/server/equipment/type-drafts';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { ManualPage } from '@/ui/shop/manual/manual-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Read a manual' };

export default async function Page() {
  const [drafts, everybody, person] = await Promise.all([typeDrafts(), people(), currentPerson()]);
  return <ManualPage drafts={drafts} people={everybody} person={person} />;
}
