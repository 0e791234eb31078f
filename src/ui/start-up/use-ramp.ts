import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { RampAnswer, RampCase } from '@/core/ramp';
import type { RampWorker } from '@/workers/ramp.worker';

/** Computes a ramp off the page; while one is computed, only the newest wish waits. */
export function useRamp(given: RampCase, cycle_s: number): { answer: RampAnswer | null; failed: boolean } {
  const [answer, setAnswer] = useState<RampAnswer | null>(null);
  const [failed, setFailed] = useState(false);
  const remote = useRef<Remote<RampWorker> | null>(null);
  const wanted = useRef<string | null>(null);
  const running = useRef(false);

  useEffect(() => {
    const worker = new Worker(new URL('../../workers/ramp.worker.ts', import.meta.url), { type: 'module' });
    worker.onerror = () => setFailed(true);
    remote.current = wrap<RampWorker>(worker);
    running.current = false;
    return () => {
      remote.current = null;
      worker.terminate();
    };
  }, []);

  const key = JSON.stringify([given, cycle_s]);
  useEffect(() => {
    wanted.current = key;
    const run = async () => {
      if (running.current) return;
      running.current = true;
      try {
        while (wanted.current !== null) {
          const [asked, cycle] = JSON.parse(wanted.current) as [RampCase, number];
          wanted.current = null;
          const worker = remote.current;
          if (worker === null) return;
          const made = await worker.answer(asked, cycle);
          if (remote.current === worker) setAnswer(made);
        }
      } catch {
        setFailed(true);
      } finally {
        running.current = false;
      }
    };
    void run();
  }, [key]);
  return { answer, failed };
}
