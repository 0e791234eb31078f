import { useCallback, useEffect, useState } from 'react';
import { v7 } from 'uuid';
import type { Rating } from '@/core/equipment/drive-words';
import type { PlanStep } from '@/core/parameter-sets/parameters';
import type { WriteRunView } from '@/api/contract';
import type { RunDeed } from '@/core/parameter-sets/write-run';
import { call } from '../../../api/call';

/** A run of writes as the server's journal has it. */
/** How often an open run is looked at, ms. */
const poll_ms = 500;
const silent = 'Server not reachable. A running write continues or is paused; nothing is lost.';

/** Does a drive answer over the link? Null: the server does not. */
export async function stillAnswers(target: string): Promise<boolean | null> {
  const answer = await call('GET /api/v1/drives', {});
  return answer.ok ? answer.value.found.some((f) => f.target === target && f.identity !== null) : null;
}

/** The runs of a job: the newest first, looked at again while one is open. */
export function useSetRuns(jobId: string) {
  const [runs, setRuns] = useState<readonly WriteRunView[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const look = useCallback(async () => {
    const answer = await call('GET /api/v1/jobs/:id/set-writes', { params: { id: jobId } });
    if (answer.ok) setRuns(answer.value.runs);
    else if (answer.status === 0) setTrouble(silent);
  }, [jobId]);

  const open = runs.some((r) => r.state !== 'ended');
  useEffect(() => {
    const first = setTimeout(() => void look(), 0);
    const again = open ? setInterval(() => void look(), poll_ms) : null;
    return () => {
      clearTimeout(first);
      if (again !== null) clearInterval(again);
    };
  }, [look, open]);

  const tell = async (told: Promise<{ ok: true } | { ok: false; status: number; error: string }>) => {
    setBusy(true);
    setTrouble(null);
    const answer = await told;
    setTrouble(answer.ok ? null : answer.status === 0 ? silent : answer.error);
    await look();
    setBusy(false);
  };
  return {
    runs,
    trouble,
    busy,
    begin: (
      order: { set: string; name: string; target: string; typeId: string; rating: Rating },
      steps: readonly PlanStep[],
    ) =>
      tell(
        call('POST /api/v1/jobs/:id/set-writes', {
          params: { id: jobId },
          body: {
            id: v7(),
            ...order,
            expects: steps.map(({ number, from, to }) => ({ number, from, to })),
            confirmed: true,
          },
        }),
      ),
    act: (run: string, deed: RunDeed) =>
      tell(
        call('POST /api/v1/jobs/:id/set-writes/:run', {
          params: { id: jobId, run },
          body: {
            do: deed,
            ...(deed === 'go-on' || deed === 'leave-out' ? { confirmed: true } : {}),
          },
        }),
      ),
  };
}

export type SetRuns = ReturnType<typeof useSetRuns>;
