import { useCallback } from 'react';
import type { LabelWorker } from '@/workers/label.worker';
import { useWorker } from '../../kit/use-worker';

const start = () =>
  new Worker(new URL('../../../workers/label.worker.ts', import.meta.url), { type: 'module' });

/** A picture wider than this is scaled down first: a code needs no more. */
const widest = 1000;

/** Reads the code of a label out of a picture, off the main thread. */
export function useReader(): (
  source: CanvasImageSource,
  width: number,
  height: number,
) => Promise<string | null> {
  const { ask } = useWorker<LabelWorker>(start);
  return useCallback(
    async (source, width, height) => {
      if (width === 0 || height === 0) return null;
      const scale = Math.min(1, widest / width);
      const canvas = document.createElement('canvas');
      canvas.width = Math.round(width * scale);
      canvas.height = Math.round(height * scale);
      const context = canvas.getContext('2d', { willReadFrequently: true });
      if (context === null) return null;
      context.drawImage(source, 0, 0, canvas.width, canvas.height);
      const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
      return ask((worker) => worker.read(data, canvas.width, canvas.height));
    },
    [ask],
  );
}
