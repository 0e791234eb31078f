import { useCallback, useEffect, useRef, useState } from 'react';
import type { Live } from '@/core/drive-words';

export interface Sample {
  /** Since the trend began. */
  at_s: number;
  live: Live;
}

/** Five minutes at five a second and some more. */
const mostSamples = 1800;

/**
 * Collects live values while they come.
 * @param live a new object with every value that came; null while nothing is watched
 */
export function useTrend(live: Live | null) {
  const [samples, setSamples] = useState<readonly Sample[]>([]);
  const [startedAt, setStartedAt] = useState<string | null>(null);
  const started = useRef<number | null>(null);
  useEffect(() => {
    if (live === null) return;
    const now = performance.now();
    const first = started.current === null;
    started.current ??= now;
    const at_s = (now - started.current) / 1000;
    // The first value marks the start; both states belong to the same event.
    const keep = () => {
      if (first) setStartedAt(new Date().toISOString());
      setSamples((before) => [...before.slice(1 - mostSamples), { at_s, live }]);
    };
    keep();
  }, [live]);
  const clear = useCallback(() => {
    started.current = null;
    setStartedAt(null);
    setSamples([]);
  }, []);
  return { samples, startedAt, clear };
}
