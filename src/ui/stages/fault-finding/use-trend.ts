import { useCallback, useState } from 'react';
import type { Live } from '@/core/equipment/drive-words';

export interface TrendSample {
  /** Since the trend began. */
  at_s: number;
  live: Live;
}

interface Collected {
  startedAt: string | null;
  began_ms: number;
  samples: readonly TrendSample[];
}

/** Five minutes at five a second and some more. */
const mostSamples = 1800;
const nothing: Collected = { startedAt: null, began_ms: 0, samples: [] };

/** Collects live values as they come. */
export function useTrend() {
  const [{ samples, startedAt }, setCollected] = useState(nothing);
  const add = useCallback((live: Live) => {
    const now = performance.now();
    const wall = new Date().toISOString();
    setCollected(({ startedAt: since, began_ms, samples: before }) => {
      const began = since === null ? now : began_ms;
      return {
        startedAt: since ?? wall,
        began_ms: began,
        samples: [...before.slice(1 - mostSamples), { at_s: (now - began) / 1000, live }],
      };
    });
  }, []);
  const clear = useCallback(() => setCollected(nothing), []);
  return { samples, startedAt, add, clear };
}
