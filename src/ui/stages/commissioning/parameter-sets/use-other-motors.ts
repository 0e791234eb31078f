import { useEffect, useState } from 'react';
import { call } from '../../../api/call';

/** Stator resistances in sets of other machines; null as long as the server was not heard. */
export function useOtherMotors(jobId: string): readonly number[] | null {
  const [ohms, setOhms] = useState<readonly number[] | null>(null);
  useEffect(() => {
    const leaving = new AbortController();
    const load = async () => {
      const answer = await call('GET /api/v1/jobs/:id/other-motors', {
        params: { id: jobId },
        signal: leaving.signal,
      });
      // Where the server is silent the audit says that this is not judged.
      if (answer.ok && !leaving.signal.aborted) setOhms(answer.value.ohms);
    };
    void load();
    return () => leaving.abort();
  }, [jobId]);
  return ohms;
}
