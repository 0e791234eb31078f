import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { typeDraft } from '@/server/equipment/type-drafts';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { ManualPlace } from '@/ui/shop/manual/manual-place';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'In the manual' };

interface Props {
  params: Promise<{ draft: string }>;
  searchParams: Promise<{ parameter?: string | string[] }>;
}

/** Where a parameter of a finished type stands in the manual it was read from. */
export default async function Page({ params, searchParams }: Props) {
  const [{ draft: id }, { parameter: asked }] = await Promise.all([params, searchParams]);
  const [draft, everybody, person] = await Promise.all([typeDraft(id), people(), currentPerson()]);
  const parameter = draft?.parameters.find(({ number }) => number === asked);
  if (draft === null || parameter === undefined) notFound();
  const { maker, range, source } = draft;
  return (
    <ManualPlace
      draft={{ id, maker, range, source }}
      parameter={parameter}
      people={everybody}
      person={person}
    />
  );
}
