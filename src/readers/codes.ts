import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import type { PlateCode } from '@/core/reading/plate-text';
import type { GreyPicture } from './letters/picture';

/** Reads the bar codes and matrix codes of a picture. */
export type CodeReader = (picture: GreyPicture) => Promise<PlateCode[]>;

/** Codes of one photo at most: a label has two or three. */
const mostCodes = 12;

/** Points of grey as the package takes them. */
function coloured({ width, height, data }: GreyPicture): {
  width: number;
  height: number;
  data: Uint8ClampedArray<ArrayBuffer>;
} {
  const points = new Uint8ClampedArray(4 * width * height);
  for (let i = 0; i < points.length; i += 1) points[i] = i % 4 === 3 ? 255 : (data[i >> 2] ?? 0);
  return { width, height, data: points };
}

/**
 * Starts a reader of codes.
 * @param wasm its WebAssembly: nothing is fetched from elsewhere
 */
export async function codeReader(wasm: ArrayBuffer): Promise<CodeReader> {
  await prepareZXingModule({ overrides: { wasmBinary: wasm }, fireImmediately: true });
  return async (picture) => {
    // Nobody but the types asks for more of a picture than its points and size.
    const image = { ...coloured(picture), colorSpace: 'srgb' as const };
    const found = await readBarcodes(image, {
      tryHarder: true,
      maxNumberOfSymbols: mostCodes,
      textMode: 'HRI',
    });
    return found
      .filter(({ isValid, text }) => isValid && text !== '')
      .map(({ text, position: { topLeft, topRight, bottomLeft, bottomRight } }) => {
        const corners = [topLeft, topRight, bottomLeft, bottomRight];
        const xs = corners.map(({ x }) => x);
        const ys = corners.map(({ y }) => y);
        return {
          text,
          ...{ x0: Math.min(...xs), y0: Math.min(...ys) },
          ...{ x1: Math.max(...xs), y1: Math.max(...ys) },
        };
      });
  };
}
