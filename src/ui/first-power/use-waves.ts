import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Wave, WaveCase } from '@/core/waveform';
import type { Measured, WaveDiagnosis } from '@/core/waveform-diagnosis';
import type { WaveformWorker } from '@/workers/waveform.worker';
import { useLatest } from '../kit/use-latest';

const start = () =>
  new Worker(new URL('../../workers/waveform.worker.ts', import.meta.url), { type: 'module' });

/** A circuit computed off the page; while one is computed, only the newest wish waits. */
export const useWave = (given: WaveCase | null): { answer: Wave | null; failed: boolean; working: boolean } =>
  useLatest<WaveformWorker, WaveCase, Wave>(start, (worker, wish) => worker.simulate(wish), given);

/** A worker of one's own, made when it is first asked. */
export function useWaveWorker(): () => Remote<WaveformWorker> {
  const worker = useRef<Worker | null>(null);
  const remote = useRef<Remote<WaveformWorker> | null>(null);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
      remote.current = null;
    },
    [],
  );
  return useCallback(() => {
    if (remote.current === null) {
      worker.current = start();
      remote.current = wrap<WaveformWorker>(worker.current);
    }
    return remote.current;
  }, []);
}

export interface Judging {
  /** Share done while it is at work. */
  progress: number | null;
  diagnosis: WaveDiagnosis | null;
  trouble: string | null;
}

/** Which cause gives what was measured: asked for, shown as it goes, stopped. */
export function useJudging(): Judging & {
  judge: (sound: WaveCase, measured: Measured, prechargeOhm: number) => Promise<WaveDiagnosis | null>;
  stop: () => void;
} {
  const worker = useWaveWorker();
  const [state, setState] = useState<Judging>({ progress: null, diagnosis: null, trouble: null });
  const judge = useCallback(
    async (sound: WaveCase, measured: Measured, prechargeOhm: number) => {
      setState({ progress: 0, diagnosis: null, trouble: null });
      try {
        const diagnosis = await worker().diagnose(
          sound,
          measured,
          prechargeOhm,
          proxy((share: number) => setState((s) => (s.progress === null ? s : { ...s, progress: share }))),
        );
        setState({ progress: null, diagnosis, trouble: null });
        return diagnosis;
      } catch (error) {
        const said = error instanceof Error ? error.message : 'it could not be computed on this device';
        setState({ progress: null, diagnosis: null, trouble: `Not judged: ${said}` });
        return null;
      }
    },
    [worker],
  );
  const stop = useCallback(() => {
    void worker().stop();
    setState((s) => ({ ...s, progress: null }));
  }, [worker]);
  return { ...state, judge, stop };
}
