import { useEffect, useRef, useState } from 'react';
import type { Live } from '@/core/equipment/drive-words';
import { ownJson } from '../kit/own-json';

export interface LiveState {
  live: Live | null;
  /** Words of what went wrong; the last values stay. */
  trouble: string | null;
}

const silence = { live: null, trouble: null };

/**
 * Live values of a drive over the link while it is watched.
 * @param came called with every set of values, in the order they come
 */
export function useLive(target: string | null, typeId: string | null, came: (live: Live) => void): LiveState {
  const listener = useRef(came);
  useEffect(() => {
    listener.current = came;
  }, [came]);
  const [state, setState] = useState<LiveState & { of: string }>({ ...silence, of: '' });
  const of = target === null || typeId === null ? '' : `${target} ${typeId}`;
  useEffect(() => {
    if (target === null || typeId === null) return;
    const name = `${target} ${typeId}`;
    const source = new EventSource(`/api/v1/drives/watch?${new URLSearchParams({ target, typeId })}`);
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const live = ownJson<Live>(data);
      setState({ live, trouble: null, of: name });
      listener.current(live);
    };
    source.addEventListener('trouble', (e: MessageEvent<string>) => {
      const { message } = ownJson<{ message: string }>(e.data);
      setState((s) => ({ ...s, trouble: message, of: name }));
    });
    source.onerror = () =>
      setState((s) => ({
        ...s,
        trouble: 'Link lost; reconnecting. The values shown are the last received.',
        of: name,
      }));
    return () => source.close();
  }, [target, typeId]);
  return state.of === of ? state : silence;
}
