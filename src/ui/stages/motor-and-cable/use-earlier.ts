import { useEffect, useState } from 'react';
import type { InsulationThen } from '@/core/motor/motor-history';

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
    fetch(`/api/v1/jobs/${jobId}/motor-tests`, { signal: leaving.signal })
      .then(async (answer) => {
        if (!answer.ok) throw new Error();
        const { tests } = (await answer.json()) as { tests: InsulationThen[] };
        setGot({ tests, trouble: null });
      })
      .catch(() => {
        if (!leaving.signal.aborted)
          setGot({
            tests: null,
            trouble: 'The server does not answer: earlier tests of this motor are not here.',
          });
      });
    return () => leaving.abort();
  }, [jobId]);
  return got;
}
