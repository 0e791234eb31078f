import { plainPdf } from '@/readers/pdf-text';
import { lettersHome } from './letters';
import { pdfLibrary } from './pdf-library';

/** A page as a picture, with its own measures in points of 1/72 inch. */
export interface PagePicture {
  picture: Blob;
  width: number;
  height: number;
}

interface Canvas {
  canvas: OffscreenCanvas;
  context: OffscreenCanvasRenderingContext2D | null;
}

/** Canvases for pdf.js, which wants a class for them: a worker has no document to make them of. */
class OffscreenCanvases {
  create(width: number, height: number): Canvas {
    const canvas = new OffscreenCanvas(width, height);
    return { canvas, context: canvas.getContext('2d') };
  }
  reset({ canvas }: Canvas, width: number, height: number): void {
    Object.assign(canvas, { width, height });
  }
  destroy({ canvas }: Canvas): void {
    Object.assign(canvas, { width: 0, height: 0 });
  }
}

/** Filters are drawn by a document, too: pages are shown without. */
class NoFilters {
  addFilter = () => 'none';
  addHCMFilter = () => 'none';
  addAlphaFilter = () => 'none';
  addLuminosityFilter = () => 'none';
  addHighlightHCMFilter = () => 'none';
  destroy = () => undefined;
}

/** So many points across: a page of small print can be read, and is drawn in a moment. */
const points = 1400;

/**
 * A PDF whose pages can be looked at.
 * @returns draws a page, from 1
 */
export async function openPdf(data: Uint8Array): Promise<(number: number) => Promise<PagePicture>> {
  const library = await pdfLibrary();
  const { promise } = library.getDocument({
    ...{ data, ...plainPdf, wasmUrl: `${lettersHome()}/` },
    ...{ CanvasFactory: OffscreenCanvases, FilterFactory: NoFilters },
  });
  const document = await promise;
  return async (number) => {
    const page = await document.getPage(number);
    const { width, height } = page.getViewport({ scale: 1 });
    const viewport = page.getViewport({ scale: points / width });
    const canvas = new OffscreenCanvas(Math.round(viewport.width), Math.round(viewport.height));
    const canvasContext = canvas.getContext('2d');
    if (canvasContext === null) throw new Error('This browser cannot draw pages.');
    // Its types know a document's canvas only; it draws on either.
    const drawn = canvasContext as unknown as CanvasRenderingContext2D;
    await page.render({ canvas: null, canvasContext: drawn, viewport, background: '#fff' }).promise;
    page.cleanup();
    return { picture: await canvas.convertToBlob({ type: 'image/png' }), width, height };
  };
}
