import type { Metadata } from 'next';
import { readCatalogue } from '@/server/equipment/catalogue';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { CataloguePage } from '@/ui/shop/catalogue/catalogue-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Drive types' };

export default async function Page() {
  const [{ types, broken }, everybody, person] = await Promise.all([
    readCatalogue(),
    people(),
    currentPerson(),
  ]);
  return <CataloguePage types={types} broken={broken} people={everybody} person={person} />;
}
