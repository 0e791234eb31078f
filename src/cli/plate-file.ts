import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import type { PlateReading } from '@/core/reading/plate-text';
import { greyOf, photoSide, readPlatePhoto } from '@/readers/plate-photo';
import { codeReader } from '@/readers/codes';
import { startLetters } from './letters';

/** What the reader of codes runs on. */
const codesWasm = 'node_modules/zxing-wasm/dist/reader/zxing_reader.wasm';

/** A picture that cannot be read, in words for the person. */
export class UnreadablePhoto extends Error {}

/** A reader of plates, and how to let it go. */
export interface PlateFiles {
  read: (bytes: Uint8Array) => Promise<PlateReading>;
  close: () => Promise<void>;
}

/**
 * Starts a reader of plates from picture files (PNG, JPEG, WebP, TIFF).
 * @param root folder of the programme, in which its packages are
 */
export async function plateFiles(root: string): Promise<PlateFiles> {
  const wasm = await readFile(`${root}/${codesWasm}`);
  const codes = await codeReader(new Uint8Array(wasm).buffer);
  const { letters, close } = await startLetters(root);
  return {
    close,
    read: async (bytes) => {
      const upright = sharp(bytes).autoOrient();
      const { data, info } = await upright
        .resize({ width: photoSide, height: photoSide, fit: 'inside', withoutEnlargement: true })
        .flatten({ background: '#fff' })
        .ensureAlpha()
        .toColourspace('srgb')
        .raw()
        .toBuffer({ resolveWithObject: true })
        .catch((error: unknown) => {
          throw new UnreadablePhoto('the file is no picture that can be read: PNG, JPEG, WebP and TIFF can', {
            cause: error,
          });
        });
      const { width = info.width, height = info.height } = (await sharp(bytes).metadata()).autoOrient;
      return await readPlatePhoto(greyOf({ width: info.width, height: info.height, data }), letters, {
        codes,
        scale: Math.max(width, height) / Math.max(info.width, info.height),
      });
    },
  };
}
