import { useEffect, useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';

/** What the catalogue says of a type's settings; null while it loads, or words where it says nothing. */
export function useControl(typeId: string | null): { control: Control | null; trouble: string | null } {
  const [got, setGot] = useState<{ typeId: string; control: Control | null; trouble: string | null } | null>(
    null,
  );
  useEffect(() => {
    if (typeId === null) return;
    const leaving = new AbortController();
    const load = async () => {
      const answer = await fetch(`/api/v1/catalogue/${encodeURIComponent(typeId)}/control`, {
        signal: leaving.signal,
      });
      if (answer.ok) return { control: (await answer.json()) as Control, trouble: null };
      const { error } = (await answer.json()) as { error: string };
      return { control: null, trouble: error };
    };
    load()
      .catch(() => ({
        control: null,
        trouble: 'The server does not answer; the settings of this type are not here.',
      }))
      .then((loaded) => {
        if (!leaving.signal.aborted) setGot({ typeId, ...loaded });
      })
      .catch(() => undefined);
    return () => leaving.abort();
  }, [typeId]);
  return typeId === null
    ? { control: null, trouble: 'This drive is none of the catalogue: nothing is known of its settings.' }
    : got?.typeId === typeId
      ? got
      : { control: null, trouble: null };
}
