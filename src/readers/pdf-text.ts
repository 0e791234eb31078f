import type { TextPage, TextRun } from '@/core/reading/table-text';

/** What of pdf.js is used here: the browser and Node bring builds of their own. */
export interface PdfLibrary {
  getDocument: (source: {
    data: Uint8Array;
    verbosity?: number;
    isEvalSupported?: boolean;
    useSystemFonts?: boolean;
    disableFontFace?: boolean;
  }) => { promise: Promise<PdfDocument>; destroy: () => Promise<void> };
}

interface PdfDocument {
  numPages: number;
  getPage: (number: number) => Promise<PdfPage>;
}

interface PdfPage {
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

/**
 * The pages of a PDF as text, one after the other; each is freed before the next is opened.
 * @param wanted which pages, from 1; all where it is left out
 * @throws UnreadablePdf with what the person can do
 */
export async function* pagesOfPdf(
  library: PdfLibrary,
  data: Uint8Array,
  wanted: (page: number) => boolean = () => true,
): AsyncGenerator<TextPage> {
  const loading = library.getDocument({
    data,
    verbosity: 0,
    isEvalSupported: false,
    useSystemFonts: false,
    disableFontFace: true,
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
      page.cleanup();
      yield {
        number,
        width,
        height,
        runs: items.flatMap((item) => (isText(item) ? (runOf(item, transform) ?? []) : [])),
      };
    }
  } finally {
    await loading.destroy();
  }
}
