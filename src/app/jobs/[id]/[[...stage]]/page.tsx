import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { currentStage, stageIds, stageLines, stageNames, type StageId } from '@/core/logbook';
import { catalogue } from '@/server/equipment/catalogue';
import { currentPerson } from '@/server/people/current-person';
import { loadJob } from '@/server/logbook/folded';
import { knownSources } from '@/server/logbook/machines';
import { uuidSchema } from '@/server/http/border';
import { people } from '@/server/people/people';
import { consequences, siteLimits } from '@/server/administration/settings';
import { JobCard } from '@/ui/job-card/job-card';

export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ id: string; stage?: string[] }>;
}

const stageOfPath = (path: string[] | undefined): StageId | null | undefined =>
  path === undefined ? null : path.length === 1 ? stageIds.find((id) => id === path[0]) : undefined;

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const stage = stageOfPath((await params).stage);
  return { title: stage ? stageNames[stage] : 'Job' };
}

export default async function JobPage({ params }: Props) {
  const { id, stage: path } = await params;
  const stage = stageOfPath(path);
  if (stage === undefined || !uuidSchema.safeParse(id).success) notFound();
  const job = await loadJob(id);
  if (job === null) notFound();
  if (stage === null) {
    const site = await siteLimits();
    redirect(`/jobs/${id}/${currentStage(stageLines(job.state, site))}`);
  }
  const [person, everybody, within, types, met, table] = await Promise.all([
    currentPerson(),
    people(),
    siteLimits(),
    catalogue(),
    knownSources(job),
    consequences(),
  ]);
  return (
    <JobCard
      jobId={id}
      stage={stage}
      entries={job.state.log.map((line) => line.entry)}
      person={person}
      people={everybody}
      limits={within}
      catalogue={types}
      knownSources={met}
      consequences={table}
    />
  );
}
