import { useState } from 'react';
import type { JobStore } from '../job-store/use-job';
import { call } from '../api/call';

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
    const answer = await call('POST /api/v1/drives/read', { body: { target, typeId } });
    setReading(false);
    if (!answer.ok)
      return setTrouble(answer.status === 0 ? 'Server not reachable. Nothing was read.' : answer.error);
    const { values, history } = answer.value;
    store.record('drive.read', { target, typeId, ...answer.value });
    say(`Read out: ${Object.keys(values).length} parameters, ${history.length} entries in the fault log.`);
  };
  return { reading, trouble, read };
}
