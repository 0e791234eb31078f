import { expose } from 'comlink';
import type { PlateReading } from '@/core/reading/plate-text';
import { greyOf, photoSide, readPlatePhoto } from '@/readers/plate-photo';
import { codeReader, type CodeReader } from '@/readers/codes';
import { lettersHome, startLetters } from './letters';

// Started with the first photo.
let letters: ReturnType<typeof startLetters> | undefined;
let codes: Promise<CodeReader> | undefined;

/** The reader of codes; without its parts a plate is read without it, and they are asked for again with the next photo. */
const codesHere = async (): Promise<CodeReader | undefined> => {
  codes ??= fetch(`${lettersHome()}/zxing_reader.wasm`)
    .then((answer) => answer.arrayBuffer())
    .then(codeReader);
  return codes.catch(() => {
    codes = undefined;
    return undefined;
  });
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
    const reader = await codesHere();
    const reading = await readPlatePhoto(grey, await (letters ??= startLetters()), {
      scale: 1 / scale,
      ...(reader === undefined ? {} : { codes: reader }),
      onProgress: told,
    });
    return { ...reading, width, height };
  },
};
export type PlateWorker = typeof api;

expose(api);
