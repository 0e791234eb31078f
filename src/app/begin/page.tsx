import type { Metadata } from 'next';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { FirstScreen } from '@/ui/shop/board/first-screen';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'What is in front of you?' };

export default async function BeginPage() {
  const [everybody, person] = await Promise.all([people(), currentPerson()]);
  return <FirstScreen people={everybody} person={person} />;
}
