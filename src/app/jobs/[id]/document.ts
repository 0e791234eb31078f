import { notFound } from 'next/navigation';
import { termsOfDocuments, type Person } from '@/core/logbook';
import type { TermsProfile } from '@/core/terms';
import { uuidSchema } from '@/server/http/guard';
import { loadJob, type LoadedJob } from '@/server/logbook/folded';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';

/** What a document's page shows around it. */
interface DocumentPageProps {
  jobId: string;
  terms: TermsProfile;
  people: Person[];
  person: Person;
}

/** The job of a page's address, or the page that says there is none. */
export async function jobOfAddress(id: string): Promise<LoadedJob> {
  const job = uuidSchema.safeParse(id).success ? await loadJob(id) : null;
  if (job === null) notFound();
  return job;
}

/** A document of a job with what its page shows around it. @param load the document */
export async function documentOfAddress<Document>(
  params: Promise<{ id: string }>,
  load: (job: LoadedJob) => Promise<Document>,
): Promise<{ document: Document; around: DocumentPageProps }> {
  const { id } = await params;
  const job = await jobOfAddress(id);
  const [document, everybody, person] = await Promise.all([load(job), people(), currentPerson()]);
  return { document, around: { jobId: id, terms: termsOfDocuments(job.state), people: everybody, person } };
}
