import { proxy } from 'comlink';
import { useCallback, useState } from 'react';
import type { ManualReading } from '@/core/reading/manual';
import type { Learnt } from '@/core/reading/meaning';
import type { ManualWorker } from '@/workers/manual.worker';
import { useWorker, WorkerStopped } from '../../kit/use-worker';

const start = () =>
  new Worker(new URL('../../../workers/manual.worker.ts', import.meta.url), { type: 'module' });

/** How far the reading of a file is. */
export type Reading =
  { state: 'idle' } | { state: 'reading'; name: string; pages: number } | { state: 'trouble'; said: string };

/** Reads manuals in a worker, a page after the other; a reading can be cancelled. */
export function useManual() {
  const { ask, stop } = useWorker<ManualWorker>(start);
  const [reading, setReading] = useState<Reading>({ state: 'idle' });
  const read = useCallback(
    async (file: File, learnt: readonly Learnt[]): Promise<ManualReading | null> => {
      setReading({ state: 'reading', name: file.name, pages: 0 });
      try {
        const bytes = new Uint8Array(await file.arrayBuffer());
        const told = proxy((pages: number) => setReading({ state: 'reading', name: file.name, pages }));
        const result = await ask((worker) => worker.read(bytes, learnt, told));
        setReading({ state: 'idle' });
        return result;
      } catch (error) {
        const said = error instanceof Error ? error.message : 'The file could not be read.';
        setReading(error instanceof WorkerStopped ? { state: 'idle' } : { state: 'trouble', said });
        return null;
      }
    },
    [ask],
  );
  return { reading, read, cancel: stop };
}
