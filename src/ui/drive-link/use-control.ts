import { useEffect, useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import { call } from '../api/call';

/** What the catalogue says of a type's settings; null while it loads, or words where it says nothing. */
export function useControl(typeId: string | null): { control: Control | null; trouble: string | null } {
  const [got, setGot] = useState<{ typeId: string; control: Control | null; trouble: string | null } | null>(
    null,
  );
  useEffect(() => {
    if (typeId === null) return;
    const leaving = new AbortController();
    const load = async () => {
      const answer = await call('GET /api/v1/catalogue/:id/control', {
        params: { id: typeId },
        signal: leaving.signal,
      });
      if (leaving.signal.aborted) return;
      setGot(
        answer.ok
          ? { typeId, control: answer.value, trouble: null }
          : {
              typeId,
              control: null,
              trouble:
                answer.status === 0
                  ? 'Server not reachable: the parameters of this type are not available.'
                  : answer.error,
            },
      );
    };
    void load();
    return () => leaving.abort();
  }, [typeId]);
  return typeId === null
    ? { control: null, trouble: 'This drive is not in the catalogue: its parameters are not known.' }
    : got?.typeId === typeId
      ? got
      : { control: null, trouble: null };
}
