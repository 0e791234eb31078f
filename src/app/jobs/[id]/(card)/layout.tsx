import type { ReactNode } from 'react';
import { generation } from '@/server/database/generation';
import { catalogue } from '@/server/equipment/catalogue';
import { currentPerson } from '@/server/people/current-person';
import { withoutHash } from '@/server/logbook/entries';
import { knownSources } from '@/server/logbook/machines';
import { people } from '@/server/people/people';
import { consequences, siteLimits } from '@/server/administration/settings';
import { JobCard } from '@/ui/job-card/job-card';
import { jobOfAddress } from '../document';

interface Props {
  params: Promise<{ id: string }>;
  children: ReactNode;
}

/** The card of a job. It stays while its stages change: nothing is loaded again for another stage. */
export default async function CardLayout({ params, children }: Props) {
  const { id } = await params;
  const job = await jobOfAddress(id);
  const life = await generation();
  const [person, everybody, within, types, met, table] = await Promise.all([
    currentPerson(),
    people(),
    siteLimits(),
    catalogue(),
    knownSources(job),
    consequences(),
  ]);
  return (
    <>
      <JobCard
        jobId={id}
        log={JSON.stringify(job.state.log.map((line) => withoutHash(line.entry)))}
        generation={life}
        imported={job.imported}
        person={person}
        people={everybody}
        limits={within}
        catalogue={types}
        knownSources={met}
        consequences={table}
      />
      {children}
    </>
  );
}
