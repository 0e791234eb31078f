import { expose } from 'comlink';
import type { PlateReading } from '@/core/reading/plate-text';
import { greyOf, photoSide, readPlatePhoto } from '@/readers/plate-photo';
import { codeReader } from '@/readers/codes';
import { lettersHome, startLetters } from './letters';

// Started with the first photo.
let letters: ReturnType<typeof startLetters> | undefined;
let codes: ReturnType<typeof codeReader> | undefined;

const startCodes = async (): ReturnType<typeof codeReader> => {
  const answer = await fetch(`${lettersHome()}/zxing_reader.wasm`);
  return codeReader(await answer.arrayBuffer());
};

const api = {
  /**
   * Reads a plate from its photo; boxes are in points of the photo, whose size comes along.
   * @param told how far it is, 0 to 1
   */
  read: async (
    photo: Blob,
    told: (share: number) => void,
  ): Promise<PlateReading & { width: number; height: number }> => {
    const bitmap = await createImageBitmap(photo).catch((error: unknown) => {
      throw new Error('This file is no picture: take a photo, or choose a PNG or JPEG.', { cause: error });
    });
    const { width, height } = bitmap;
    const scale = Math.min(1, photoSide / Math.max(width, height));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(width * scale)),
      Math.max(1, Math.round(height * scale)),
    );
    const context = canvas.getContext('2d');
    if (context === null) throw new Error('This browser cannot read pictures.');
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    const grey = greyOf(context.getImageData(0, 0, canvas.width, canvas.height));
    const reading = await readPlatePhoto(grey, await (letters ??= startLetters()), {
      scale: 1 / scale,
      codes: await (codes ??= startCodes()),
      onProgress: told,
    });
    return { ...reading, width, height };
  },
};
export type PlateWorker = typeof api;

expose(api);
