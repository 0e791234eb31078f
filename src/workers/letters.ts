import { createWorker, OEM } from 'tesseract.js';
import type { LetterReader } from '@/readers/letters/read-letters';
import { tesseractReader } from '@/readers/letters/tesseract';

/** Where the browser gets the parts of readers from. */
export const lettersHome = (): string => `${self.location.origin}/letters`;

/** Starts a reader of letters in the browser; its parts are loaded by nobody else. */
export async function startLetters(): Promise<LetterReader> {
  const home = lettersHome();
  const worker = await createWorker('eng', OEM.LSTM_ONLY, {
    ...{ workerPath: `${home}/worker.min.js`, corePath: home, langPath: home },
    ...{ workerBlobURL: false, gzip: true, cacheMethod: 'none' },
  });
  return tesseractReader({
    setParameters: (parameters) => worker.setParameters(parameters),
    // The types know the browser's pictures only; bytes of one are taken as they are.
    recognize: (image, options, output) => worker.recognize(new Blob([image]), options, output),
  });
}
