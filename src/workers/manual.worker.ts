import { expose } from 'comlink';
import type { ManualReading } from '@/core/reading/manual';
import type { Learnt } from '@/core/reading/meaning';
import { readManualFile } from '@/readers/manual-file';
import type { PdfLibrary } from '@/readers/pdf-text';
import { lettersHome, startLetters } from './letters';

/** pdf.js works in this worker itself: it gets its other half, so that it starts no further worker. */
async function pdfLibrary(): Promise<PdfLibrary> {
  const [library, handler] = await Promise.all([
    import('pdfjs-dist/legacy/build/pdf.mjs'),
    import('pdfjs-dist/legacy/build/pdf.worker.mjs'),
  ]);
  Object.assign(globalThis, { pdfjsWorker: handler });
  return library;
}

// Started with the first scanned page.
let letters: ReturnType<typeof startLetters> | undefined;

const api = {
  /**
   * Reads a manual's file.
   * @param told after each page
   */
  read: (
    bytes: Uint8Array,
    learnt: readonly Learnt[],
    told: (page: number) => void,
  ): Promise<ManualReading> =>
    readManualFile(bytes, {
      pdfLibrary,
      learnt,
      onPage: told,
      letters: () => (letters ??= startLetters()),
      wasmUrl: `${lettersHome()}/`,
    }),
};
export type ManualWorker = typeof api;

expose(api);
