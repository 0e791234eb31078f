import { createWorker, OEM } from 'tesseract.js';
import type { LetterReader } from '@/readers/letters/read-letters';
import { tesseractReader } from '@/readers/letters/tesseract';

/** Where the data of the language ships. */
const languageFolder = 'node_modules/@tesseract.js-data/eng/4.0.0_best_int';

/**
 * Starts a reader of letters in Node.
 * @param root folder of the programme, in which its packages are
 */
export async function startLetters(
  root: string,
): Promise<{ letters: LetterReader; close: () => Promise<void> }> {
  const worker = await createWorker('eng', OEM.LSTM_ONLY, {
    langPath: `${root}/${languageFolder}`,
    gzip: true,
    cacheMethod: 'none',
  });
  await worker.setParameters({ debug_file: '/dev/null' });
  const letters = tesseractReader({
    setParameters: (parameters) => worker.setParameters(parameters),
    recognize: (image, options, output) => worker.recognize(Buffer.from(image), options, output),
  });
  return {
    letters,
    close: async () => {
      await worker.terminate();
    },
  };
}
