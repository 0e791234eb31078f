import { expose } from 'comlink';
import type { ManualReading } from '@/core/reading/manual';
import type { Learnt } from '@/core/reading/meaning';
import { readManualFile } from '@/readers/manual-file';
import { lettersHome, startLetters } from './letters';
import { pdfLibrary } from './pdf-library';
import { openPdf, type PagePicture } from './pdf-pictures';

// Started with the first scanned page.
let letters: ReturnType<typeof startLetters> | undefined;
let opened: ReturnType<typeof openPdf> | undefined;

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
  /** Takes a PDF whose pages are to be looked at. */
  open: (bytes: Uint8Array): void => {
    opened = openPdf(bytes);
    // What is wrong with it goes to whoever asks for a page.
    opened.catch(() => undefined);
  },
  /** Draws a page of it. @throws Error before one was opened, and for a page that it does not have */
  page: async (number: number): Promise<PagePicture> => {
    if (opened === undefined) throw new Error('no PDF was opened');
    return (await opened)(number);
  },
};
export type ManualWorker = typeof api;

expose(api);
