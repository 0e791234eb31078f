import type { RampAnswer, RampCase } from '@/core/commissioning/ramp';
import type { RampWorker } from '@/workers/ramp.worker';
import { useLatest } from '../kit/use-latest';

const start = () => new Worker(new URL('../../workers/ramp.worker.ts', import.meta.url), { type: 'module' });

/** Computes a ramp off the page; while one is computed, only the newest wish waits. */
export const useRamp = (given: RampCase, cycle_s: number): { answer: RampAnswer | null; failed: boolean } =>
  useLatest<RampWorker, [RampCase, number], RampAnswer>(
    start,
    (worker, [asked, cycle]) => worker.answer(asked, cycle),
    [given, cycle_s],
  );
