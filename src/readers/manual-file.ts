import readWorkbook from 'read-excel-file/universal';
import {
  interpreted,
  readGrid,
  readPages,
  readText,
  withMendedSigns,
  type Found,
  type ManualReading,
} from '@/core/reading/manual';
import type { Learnt } from '@/core/reading/meaning';
import { decodedText, isUtf16 } from './decoded-text';
import type { LetterReader } from './letters/read-letters';
import { pagesOfPdf, type PdfLibrary, type PdfPageText } from './pdf-text';

/** How a manual's file is read. */
export interface ManualFileOptions {
  /** Loads pdf.js; asked for PDFs only. */
  pdfLibrary: () => Promise<PdfLibrary>;
  /** Which pages, from 1; all where it is left out. */
  wanted?: (page: number) => boolean;
  /** Told after each page. */
  onPage?: (page: number) => void;
  /** Where pdf.js finds its decoders of scanned pages, with a slash at its end. */
  wasmUrl?: string;
  /** Starts a reader of letters, for scanned pages. */
  letters?: () => Promise<LetterReader>;
  learnt?: readonly Learnt[];
}

/** A file that is none of those that can be read, in words for the person. */
export class UnreadableManual extends Error {}

const beginsWith = (bytes: Uint8Array, text: string): boolean =>
  [...text].every((sign, i) => bytes[i] === sign.charCodeAt(0));

const together = (parts: readonly Found[]): Found => ({
  entries: parts.flatMap((p) => p.entries),
  alarms: parts.flatMap((p) => p.alarms),
  unread: parts.flatMap((p) => p.unread),
});

/** The cells of each sheet as text, each sheet as a page. */
async function readSheets(bytes: Uint8Array): Promise<Found> {
  const sheets = await readWorkbook(new Blob([bytes.slice()])).catch((error: unknown) => {
    throw new UnreadableManual(
      'The spreadsheet is damaged, or of the old format .xls: save it as .xlsx or .csv and try again.',
      {
        cause: error,
      },
    );
  });
  return together(
    sheets.map(({ data }, i) =>
      readGrid(
        data.map((row) => row.map((cell) => (cell === null ? '' : String(cell)))),
        i + 1,
      ),
    ),
  );
}

/**
 * Reads a manual or a parameter list from a file: PDF, spreadsheet (.xlsx), data sheet (CiA 306) or text.
 * @throws UnreadablePdf, UnreadableManual with what the person can do
 */
export async function readManualFile(
  bytes: Uint8Array,
  { pdfLibrary, wanted, onPage, letters, wasmUrl, learnt = [] }: ManualFileOptions,
): Promise<ManualReading> {
  if (beginsWith(bytes, '%PDF') || beginsWith(bytes, '\u00EF\u00BB\u00BF%PDF')) {
    const pages: PdfPageText[] = [];
    for await (const page of pagesOfPdf(await pdfLibrary(), bytes, { wanted, letters, wasmUrl })) {
      pages.push(page);
      onPage?.(page.number);
    }
    const textless = pages.filter(({ runs }) => runs.length === 0).map(({ number }) => number);
    const scanned = pages.flatMap((page) => (page.scanned ? [page.number] : []));
    const found = readPages(pages);
    return interpreted(scanned.length === 0 ? found : withMendedSigns(found), {
      learnt,
      textless,
      scanned,
    });
  }
  if (beginsWith(bytes, 'PK')) return interpreted(await readSheets(bytes), { learnt });
  if (bytes.subarray(0, 4000).includes(0) && !isUtf16(bytes))
    throw new UnreadableManual(
      'This file is neither a PDF, a spreadsheet nor text: choose the manual or a parameter list.',
    );
  return interpreted(readText(decodedText(bytes)), { learnt });
}
