import { useCallback, useEffect, useState } from 'react';
import type { RigOrder, RigState } from '@/api/rig-state';
import { call } from '../../api/call';

/** How often the rig is looked at, ms. */
const look_ms = 800;

/** The simulated drive's rig: its state, and a way to give it an order. */
export function useRig() {
  const [rig, setRig] = useState<RigState | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const ask = useCallback(async (order: RigOrder | null): Promise<boolean> => {
    const answer =
      order === null ? await call('GET /api/v1/rig', {}) : await call('POST /api/v1/rig', { body: order });
    if (!answer.ok) {
      setTrouble(
        answer.status === 0 ? 'Server not reachable. The values shown are the last received.' : answer.error,
      );
      return false;
    }
    setRig(answer.value);
    // What the rig refused stays said until an order is taken.
    if (order !== null) setTrouble(null);
    return true;
  }, []);
  useEffect(() => {
    let stopped = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async () => {
      await ask(null);
      if (!stopped) timer = setTimeout(() => void look(), look_ms);
    };
    timer = setTimeout(() => void look(), 0);
    return () => {
      stopped = true;
      clearTimeout(timer);
    };
  }, [ask]);
  return { rig, trouble, order: ask };
}
