import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { newestVersion, stageAddress, type Payload, type StageId } from '@/core/logbook';
import { call } from '../../api/call';

/** A job as it is opened; of a machine that is new its id is made here. */
export type OpenedJob = Omit<Payload<'job.opened'>, 'assetId'> & { assetId: string | null };

const noIds = { job: '', entry: '', asset: '', drive: '' };

/** What happens to a job as soon as it is there. */
interface Then {
  /** Where to go; the stage that is due where it is left out. */
  stage?: StageId;
  /** Its drive, already identified. */
  drive?: Payload<'identify.drive'> | undefined;
  /** A loose sheet that is attached to it. */
  sheetId?: string | undefined;
}

/** Opens a job and goes to it. Its ids are made once, so that pressing twice or again after a failure opens one job only. */
export function useOpenJob(): {
  open: (job: OpenedJob, then?: Then) => Promise<void>;
  busy: boolean;
  trouble: string | null;
} {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const ids = useRef(noIds);
  /** @returns the first step that failed; null: all is done */
  const steps = async (
    { assetId, ...job }: OpenedJob,
    { drive, sheetId }: Then,
  ): Promise<{ status: number; error: string } | null> => {
    if (ids.current.job === '') ids.current = { job: v7(), entry: v7(), asset: v7(), drive: v7() };
    const { job: jobId, entry: id, asset, drive: driveEntry } = ids.current;
    const payload: Payload<'job.opened'> = { assetId: assetId ?? asset, ...job };
    const at = new Date().toISOString();
    const envelope = { v: newestVersion, jobId, at };
    const params = { id: jobId };
    const opened = await call('POST /api/v1/jobs', {
      body: { entry: { ...envelope, id, kind: 'job.opened', payload } },
    });
    if (!opened.ok) {
      // The ids are of another job by now. What fails after the opening is tried again on the same one.
      if (opened.status === 409) ids.current = noIds;
      return opened;
    }
    if (drive !== undefined) {
      const entries = [{ ...envelope, id: driveEntry, kind: 'identify.drive', payload: drive }];
      const identified = await call('POST /api/v1/jobs/:id/entries', { params, body: { entries } });
      if (!identified.ok) return identified;
    }
    if (sheetId === undefined) return null;
    const attached = await call('POST /api/v1/jobs/:id/attach', {
      params: { id: sheetId },
      body: { toJobId: jobId },
    });
    return attached.ok ? null : attached;
  };
  const open = async (job: OpenedJob, then: Then = {}): Promise<void> => {
    setBusy(true);
    setTrouble(null);
    const failed = await steps(job, then);
    const { job: jobId } = ids.current;
    if (failed === null)
      return router.push(`/jobs/${jobId}${then.stage === undefined ? '' : `/${stageAddress(then.stage)}`}`);
    setTrouble(
      failed.status === 0
        ? 'Server not reachable. What you typed is still here: try again in a moment.'
        : failed.error,
    );
    setBusy(false);
  };
  return { open, busy, trouble };
}
