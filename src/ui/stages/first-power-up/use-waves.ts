import { proxy } from 'comlink';
import { useCallback, useState } from 'react';
import type { Wave, WaveCase } from '@/core/power-up/waveform';
import type { Measured, WaveDiagnosis } from '@/core/power-up/waveform-diagnosis';
import type { WaveformWorker } from '@/workers/waveform.worker';
import { useLatest } from '../../kit/use-latest';
import { useWorker, type WorkerLink } from '../../kit/use-worker';

const start = () =>
  new Worker(new URL('../../../workers/waveform.worker.ts', import.meta.url), { type: 'module' });

/** A circuit computed off the page; while one is computed, only the newest wish waits. */
export const useWave = (given: WaveCase | null): { answer: Wave | null; failed: boolean; working: boolean } =>
  useLatest<WaveformWorker, WaveCase, Wave>(start, (worker, wish) => worker.simulate(wish), given);

/** A worker of one's own, loaded before it is asked: a capture can then be read with the server away. */
export const useWaveWorker = (): WorkerLink<WaveformWorker>['ask'] =>
  useWorker<WaveformWorker>(start, { early: true }).ask;

export interface Judging {
  /** Share done while it is at work. */
  progress: number | null;
  diagnosis: WaveDiagnosis | null;
  trouble: string | null;
}

/** Which cause gives what was measured: asked for, shown as it goes, stopped. */
export function useJudging(ask: WorkerLink<WaveformWorker>['ask']): Judging & {
  judge: (sound: WaveCase, measured: Measured, prechargeOhm: number) => Promise<WaveDiagnosis | null>;
  stop: () => void;
} {
  const [state, setState] = useState<Judging>({ progress: null, diagnosis: null, trouble: null });
  const judge = useCallback(
    async (sound: WaveCase, measured: Measured, prechargeOhm: number) => {
      setState({ progress: 0, diagnosis: null, trouble: null });
      try {
        const onward = proxy((share: number) =>
          setState((s) => (s.progress === null ? s : { ...s, progress: share })),
        );
        const diagnosis = await ask((worker) => worker.diagnose(sound, measured, prechargeOhm, onward));
        setState({ progress: null, diagnosis, trouble: null });
        return diagnosis;
      } catch (error) {
        const said = error instanceof Error ? error.message : 'it could not be calculated on this device';
        setState({ progress: null, diagnosis: null, trouble: `Not diagnosed: ${said}` });
        return null;
      }
    },
    [ask],
  );
  const stop = useCallback(() => {
    void ask((worker) => worker.stop()).catch(() => undefined);
    setState((s) => ({ ...s, progress: null }));
  }, [ask]);
  return { ...state, judge, stop };
}
