import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { termsOfDocuments } from '@/core/logbook';
import { uuidSchema } from '@/server/http/guard';
import { loadJob } from '@/server/logbook/folded';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { loadStaticSheet } from '@/server/documents/static-sheet';
import { SheetPage } from '@/ui/documents/sheet/sheet-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Static-test sheet' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const job = uuidSchema.safeParse(id).success ? await loadJob(id) : null;
  if (job === null) notFound();
  const sheet = await loadStaticSheet(job);
  const [everybody, person] = await Promise.all([people(), currentPerson()]);
  return (
    <SheetPage
      jobId={id}
      sheet={sheet}
      terms={termsOfDocuments(job.state)}
      people={everybody}
      person={person}
    />
  );
}
