import { expose } from 'comlink';
import jsQR from 'jsqr';

const api = {
  /** What the code in a picture says; null where there is none to read. */
  read: (pixels: Uint8ClampedArray, width: number, height: number): string | null =>
    jsQR(pixels, width, height)?.data ?? null,
};
export type LabelWorker = typeof api;

expose(api);
