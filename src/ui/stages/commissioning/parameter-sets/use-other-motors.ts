import { useEffect, useState } from 'react';

/** Stator resistances in sets of other machines; null as long as the server was not heard. */
export function useOtherMotors(jobId: string): readonly number[] | null {
  const [ohms, setOhms] = useState<readonly number[] | null>(null);
  useEffect(() => {
    const leaving = new AbortController();
    fetch(`/api/v1/jobs/${jobId}/other-motors`, { signal: leaving.signal })
      .then(async (answer) => {
        if (answer.ok) setOhms(((await answer.json()) as { ohms: number[] }).ohms);
      })
      // Not judged is what the audit says of it then.
      .catch(() => undefined);
    return () => leaving.abort();
  }, [jobId]);
  return ohms;
}
