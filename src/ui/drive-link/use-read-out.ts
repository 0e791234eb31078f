import { useState } from 'react';
import type { Payload } from '@/core/logbook';
import type { JobStore } from '../job-store/use-job';

type ReadOut = Omit<Payload<'drive.read'>, 'target' | 'typeId'>;

/** A whole read-out over the link; it lands in the logbook. @param say what was done, in place of what was said before */
export function useReadOut(
  store: JobStore,
  target: string | null,
  typeId: string | null,
  say: (note: string | null) => void,
) {
  const [reading, setReading] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = async () => {
    if (target === null || typeId === null) return;
    setReading(true);
    setTrouble(null);
    say(null);
    try {
      const answer = await fetch('/api/v1/drives/read', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ target, typeId }),
      });
      const body = (await answer.json()) as ReadOut & { error?: string };
      if (!answer.ok) return setTrouble(body.error ?? 'Not read.');
      store.record('drive.read', { target, typeId, ...body });
      say(
        `Read out: ${Object.keys(body.values).length} entries, ${body.history.length} in the fault history.`,
      );
    } catch {
      setTrouble('The server does not answer. Nothing was read.');
    } finally {
      setReading(false);
    }
  };
  return { reading, trouble, read };
}
