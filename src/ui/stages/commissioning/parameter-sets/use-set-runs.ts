import { useCallback, useEffect, useState } from 'react';
import { v7 } from 'uuid';
import type { Rating } from '@/core/equipment/drive-words';
import type { PlanStep } from '@/core/parameter-sets/parameters';
import type { WriteLine } from '@/core/parameter-sets/write-run';

/** A run of writes as the server's journal has it. */
export interface ShownRun {
  id: string;
  name: string;
  setId: string;
  target: string;
  state: 'writing' | 'held' | 'ended';
  why: string | null;
  lines: WriteLine[];
}

export type Deed = 'go-on' | 'leave-out' | 'pause' | 'give-up' | 'verify' | 'verify-after-power';

/** How often an open run is looked at, ms. */
const poll_ms = 500;
const silent = 'The server does not answer. A run that was begun goes on, or is held; nothing is lost.';

async function told(path: string, body: unknown): Promise<string | null> {
  try {
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (answer.ok) return null;
    const { error } = (await answer.json()) as { error?: string };
    return error ?? 'The server refused it.';
  } catch {
    return silent;
  }
}

/** Does a drive answer over the link? Null: the server does not. */
export async function stillAnswers(target: string): Promise<boolean | null> {
  try {
    const answer = await fetch('/api/v1/drives');
    const { found } = (await answer.json()) as { found: { target: string; identity: object | null }[] };
    return found.some((f) => f.target === target && f.identity !== null);
  } catch {
    return null;
  }
}

/** The runs of a job: the newest first, looked at again while one is open. */
export function useSetRuns(jobId: string) {
  const [runs, setRuns] = useState<readonly ShownRun[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const path = `/api/v1/jobs/${jobId}/set-writes`;

  const look = useCallback(async () => {
    try {
      const answer = await fetch(path);
      if (answer.ok) setRuns(((await answer.json()) as { runs: ShownRun[] }).runs);
    } catch {
      setTrouble(silent);
    }
  }, [path]);

  const open = runs.some((r) => r.state !== 'ended');
  useEffect(() => {
    const first = setTimeout(() => void look(), 0);
    const again = open ? setInterval(() => void look(), poll_ms) : null;
    return () => {
      clearTimeout(first);
      if (again !== null) clearInterval(again);
    };
  }, [look, open]);

  const tell = async (where: string, body: unknown): Promise<void> => {
    setBusy(true);
    setTrouble(null);
    setTrouble(await told(where, body));
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
      tell(path, {
        id: v7(),
        ...order,
        expects: steps.map(({ number, from, to }) => ({ number, from, to })),
        confirmed: true,
      }),
    act: (run: string, deed: Deed) =>
      tell(`${path}/${run}`, {
        do: deed,
        ...(deed === 'go-on' || deed === 'leave-out' ? { confirmed: true } : {}),
      }),
  };
}

export type SetRuns = ReturnType<typeof useSetRuns>;
