import { wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';
import type { LabelWorker } from '@/workers/label.worker';

/** A picture wider than this is scaled down first: a code needs no more. */
const widest = 1000;

/** Reads the code of a label out of a picture, off the main thread. */
export function useReader(): (
  source: CanvasImageSource,
  width: number,
  height: number,
) => Promise<string | null> {
  const worker = useRef<{ worker: Worker; remote: Remote<LabelWorker> } | null>(null);
  useEffect(
    () => () => {
      worker.current?.worker.terminate();
      worker.current = null;
    },
    [],
  );
  return useCallback(async (source, width, height) => {
    if (width === 0 || height === 0) return null;
    if (worker.current === null) {
      const made = new Worker(new URL('../../../workers/label.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = { worker: made, remote: wrap<LabelWorker>(made) };
    }
    const scale = Math.min(1, widest / width);
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(width * scale);
    canvas.height = Math.round(height * scale);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (context === null) return null;
    context.drawImage(source, 0, 0, canvas.width, canvas.height);
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
    return worker.current.remote.read(data, canvas.width, canvas.height);
  }, []);
}
