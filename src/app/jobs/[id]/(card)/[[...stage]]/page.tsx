import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import {
  currentStage,
  stageAddress,
  stageLines,
  stageNames,
  stageOfAddress,
  type StageId,
} from '@/core/logbook';
import { uuidSchema } from '@/server/http/guard';
import { siteLimits } from '@/server/administration/settings';
import { jobOfAddress } from '../../document';

export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ id: string; stage?: string[] }>;
}

const stageOfPath = (path: string[] | undefined): StageId | null | undefined =>
  path === undefined ? null : path.length === 1 ? stageOfAddress(path[0] ?? '') : undefined;

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const stage = stageOfPath((await params).stage);
  return { title: stage ? stageNames[stage] : 'Job' };
}

/** A stage of a job: the card above it shows the stage of the address. Without a stage, the one that is due. */
export default async function StagePage({ params }: Props) {
  const { id, stage: path } = await params;
  const stage = stageOfPath(path);
  if (stage === undefined || !uuidSchema.safeParse(id).success) notFound();
  if (stage !== null) {
    const address = stageAddress(stage);
    if (path?.[0] !== address) redirect(`/jobs/${id}/${address}`);
    return null;
  }
  const job = await jobOfAddress(id);
  redirect(`/jobs/${id}/${stageAddress(currentStage(stageLines(job.state, await siteLimits())))}`);
}
