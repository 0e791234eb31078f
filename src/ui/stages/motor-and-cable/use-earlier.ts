import { useEffect, useState } from 'react';
import type { InsulationThen } from '@/core/motor/motor-history';
import { call } from '../../api/call';

/** Tests of this motor in other jobs; words where they cannot be had. */
export function useEarlier(jobId: string): {
  tests: readonly InsulationThen[] | null;
  trouble: string | null;
} {
  const [got, setGot] = useState<{ tests: readonly InsulationThen[] | null; trouble: string | null }>({
    tests: null,
    trouble: null,
  });
  useEffect(() => {
    const leaving = new AbortController();
    const load = async () => {
      const answer = await call('GET /api/v1/jobs/:id/motor-tests', {
        params: { id: jobId },
        signal: leaving.signal,
      });
      if (leaving.signal.aborted) return;
      setGot(
        answer.ok
          ? { tests: answer.value.tests, trouble: null }
          : { tests: null, trouble: 'Server not reachable: earlier tests of this motor are not available.' },
      );
    };
    void load();
    return () => leaving.abort();
  }, [jobId]);
  return got;
}
