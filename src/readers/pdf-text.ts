import type { TextPage, TextRun } from '@/core/reading/table-text';
import type { LetterReader } from './letters/read-letters';
import { readScan } from './letters/read-scan';
import { scanOf, type PdfDrawing, type PdfOperations } from './pdf-scan';

/** What of pdf.js is used here: the browser and Node bring builds of their own. */
export interface PdfLibrary {
  getDocument: (source: {
    data: Uint8Array;
    verbosity?: number;
    isEvalSupported?: boolean;
    useSystemFonts?: boolean;
    disableFontFace?: boolean;
    isOffscreenCanvasSupported?: boolean;
    isImageDecoderSupported?: boolean;
    wasmUrl?: string;
  }) => { promise: Promise<PdfDocument>; destroy: () => Promise<void> };
  OPS: PdfOperations;
}

interface PdfDocument {
  numPages: number;
  getPage: (number: number) => Promise<PdfPage>;
}

interface PdfPage extends PdfDrawing {
  getViewport: (options: { scale: number }) => { width: number; height: number; transform: number[] };
  getTextContent: () => Promise<{ items: unknown[] }>;
  cleanup: () => boolean;
}

interface TextItem {
  str: string;
  transform: number[];
  width: number;
  height: number;
}

const isText = (item: unknown): item is TextItem =>
  typeof item === 'object' && item !== null && 'str' in item && 'transform' in item;

/** Where an item's text begins and ends, with y downwards; text that is turned is left out. */
function runOf(item: TextItem, view: readonly number[]): TextRun | null {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = item.transform;
  const [va = 1, vb = 0, vc = 0, vd = -1, ve = 0, vf = 0] = view;
  const x = va * e + vc * f + ve;
  const y = vb * e + vd * f + vf;
  const along = Math.hypot(va * a + vc * b, vb * a + vd * b);
  const height = Math.hypot(va * c + vc * d, vb * c + vd * d) || item.height;
  const upright = Math.abs(vb * a + vd * b) < 0.02 * along && va * a + vc * b > 0;
  if (!upright || item.str.trim() === '' || height === 0) return null;
  // From the baseline: about three quarters of a letter's height are above it. Common practice, no source.
  return { text: item.str, x0: x, x1: x + item.width, y0: y - 0.78 * height, y1: y + 0.22 * height };
}

/** Why a PDF cannot be read, in words for the person. */
export class UnreadablePdf extends Error {}

const wordsFor = (error: unknown): string => {
  const name = error instanceof Error ? error.name : '';
  if (name === 'PasswordException')
    return 'The PDF is encrypted: save it without its password and try again.';
  return 'The file is damaged or is no PDF: download or scan it again.';
};

/** A page with less text of its own may be a scan with a line of text over it. */
const fewRuns = 5;

/** A page of a PDF, and whether its text was read from a scan. */
export interface PdfPageText extends TextPage {
  scanned: boolean;
}

/** The text of a scanned page, in the measures of the page. */
async function scannedText(
  library: PdfLibrary,
  page: PdfPage,
  letters: () => Promise<LetterReader>,
): Promise<Omit<TextPage, 'number'> | null> {
  const { width, height, transform } = page.getViewport({ scale: 1 });
  const scan = await scanOf(page, library.OPS, { width, height, view: transform });
  if (scan === null) return null;
  const { scale } = scan;
  const read = await readScan(scan.picture, await letters());
  return {
    width: read.width / scale,
    height: read.height / scale,
    runs: read.words.map(({ text, x0, x1, y0, y1 }) => ({
      text,
      ...{ x0: x0 / scale, x1: x1 / scale, y0: y0 / scale, y1: y1 / scale },
    })),
  };
}

/** How pdf.js is started, in Node and in workers alike: quietly, without a canvas, fonts of the system or compiled code. */
export const plainPdf = {
  ...{ verbosity: 0, isEvalSupported: false, useSystemFonts: false, disableFontFace: true },
  // Pictures as plain points, whether there is a canvas or not.
  ...{ isOffscreenCanvasSupported: false, isImageDecoderSupported: false },
} as const;

/** How a PDF is read. */
export interface PdfOptions {
  /** Which pages, from 1; all where it is left out. */
  wanted?: ((page: number) => boolean) | undefined;
  /** Starts a reader of scanned pages, with the first of them. Where it is left out, they have no text. */
  letters?: (() => Promise<LetterReader>) | undefined;
  /** Where pdf.js finds its decoders, with a slash at its end. */
  wasmUrl?: string | undefined;
}

/**
 * The pages of a PDF as text, one after the other; each is freed before the next is opened.
 * @throws UnreadablePdf with what the person can do
 */
export async function* pagesOfPdf(
  library: PdfLibrary,
  data: Uint8Array,
  { wanted = () => true, letters, wasmUrl }: PdfOptions = {},
): AsyncGenerator<PdfPageText> {
  const loading = library.getDocument({
    data,
    ...plainPdf,
    ...(wasmUrl === undefined ? {} : { wasmUrl }),
  });
  try {
    const document = await loading.promise.catch((error: unknown) => {
      throw new UnreadablePdf(wordsFor(error), { cause: error });
    });
    for (let number = 1; number <= document.numPages; number += 1) {
      if (!wanted(number)) continue;
      const page = await document.getPage(number);
      const { width, height, transform } = page.getViewport({ scale: 1 });
      const { items } = await page.getTextContent();
      const runs = items.flatMap((item) => (isText(item) ? (runOf(item, transform) ?? []) : []));
      const scan =
        letters !== undefined && runs.length < fewRuns ? await scannedText(library, page, letters) : null;
      page.cleanup();
      yield { number, scanned: scan !== null, ...(scan ?? { width, height, runs }) };
    }
  } finally {
    await loading.destroy();
  }
}
