import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { newestVersion, stageAddress, type Payload, type StageId } from '@/core/logbook';
import { call } from '../../api/call';

/** A job as it is opened; of a machine that is new its id is made here. */
export type OpenedJob = Omit<Payload<'job.opened'>, 'assetId'> & { assetId: string | null };

/** Opens a job and goes to it. Its ids are made once, so that pressing twice or again after a failure opens one job only. */
export function useOpenJob(): {
  open: (job: OpenedJob, stage?: StageId) => Promise<void>;
  busy: boolean;
  trouble: string | null;
} {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const ids = useRef({ job: '', entry: '', asset: '' });
  const open = async ({ assetId, ...job }: OpenedJob, stage?: StageId): Promise<void> => {
    if (ids.current.job === '') ids.current = { job: v7(), entry: v7(), asset: v7() };
    const { job: jobId, entry: id, asset } = ids.current;
    const payload: Payload<'job.opened'> = { assetId: assetId ?? asset, ...job };
    setBusy(true);
    setTrouble(null);
    const at = new Date().toISOString();
    const reply = await call('POST /api/v1/jobs', {
      body: { entry: { v: newestVersion, id, jobId, at, kind: 'job.opened', payload } },
    });
    if (reply.ok) return router.push(`/jobs/${jobId}${stage === undefined ? '' : `/${stageAddress(stage)}`}`);
    if (reply.status === 409) ids.current = { job: '', entry: '', asset: '' };
    setTrouble(
      reply.status === 0
        ? 'Server not reachable. What you typed is still here: try again in a moment.'
        : reply.error,
    );
    setBusy(false);
  };
  return { open, busy, trouble };
}
