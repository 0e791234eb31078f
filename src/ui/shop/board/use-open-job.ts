import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { newestVersion, stageAddress, type Payload, type StageId } from '@/core/logbook';
import { call } from '../../api/call';

/** A job as it is opened; of a machine that is new its id is made here. */
export type OpenedJob = Omit<Payload<'job.opened'>, 'assetId'> & { assetId: string | null };

const noIds = { job: '', entry: '', asset: '', drive: '' };

/** Opens a job and goes to it. Its ids are made once, so that pressing twice or again after a failure opens one job only. */
export function useOpenJob(): {
  open: (job: OpenedJob, stage?: StageId, drive?: Payload<'identify.drive'>) => Promise<void>;
  busy: boolean;
  trouble: string | null;
} {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const ids = useRef(noIds);
  const open = async (
    { assetId, ...job }: OpenedJob,
    stage?: StageId,
    drive?: Payload<'identify.drive'>,
  ): Promise<void> => {
    if (ids.current.job === '') ids.current = { job: v7(), entry: v7(), asset: v7(), drive: v7() };
    const { job: jobId, entry: id, asset, drive: driveEntry } = ids.current;
    const payload: Payload<'job.opened'> = { assetId: assetId ?? asset, ...job };
    setBusy(true);
    setTrouble(null);
    const at = new Date().toISOString();
    const reply = await call('POST /api/v1/jobs', {
      body: { entry: { v: newestVersion, id, jobId, at, kind: 'job.opened', payload } },
    });
    const then =
      reply.ok && drive !== undefined
        ? await call('POST /api/v1/jobs/:id/entries', {
            params: { id: jobId },
            body: {
              entries: [
                { v: newestVersion, id: driveEntry, jobId, at, kind: 'identify.drive', payload: drive },
              ],
            },
          })
        : reply;
    if (then.ok) return router.push(`/jobs/${jobId}${stage === undefined ? '' : `/${stageAddress(stage)}`}`);
    if (then.status === 409) ids.current = noIds;
    setTrouble(
      then.status === 0
        ? 'Server not reachable. What you typed is still here: try again in a moment.'
        : then.error,
    );
    setBusy(false);
  };
  return { open, busy, trouble };
}
