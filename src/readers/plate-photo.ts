import { readPlate, withCodes, type PlateBox, type PlateReading } from '@/core/reading/plate-text';
import type { CodeReader } from './codes';
import { greyOf, type GreyPicture } from './letters/picture';
import { readPhoto, type LetterReader, type PhotoOptions } from './letters/read-letters';

export { greyOf, type GreyPicture };

/** Photos are read at most so large: more points than letters need only take longer. */
export const photoSide = 2000;

const hasBox = (value: unknown): value is { box: PlateBox } =>
  typeof value === 'object' && value !== null && 'box' in value;

/** The same fields with their boxes moved. */
function moved(fields: PlateReading['fields'], move: (box: PlateBox) => PlateBox): PlateReading['fields'] {
  const one = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map((item: unknown) => one(item))
      : hasBox(value)
        ? { ...value, box: move(value.box) }
        : value;
  return Object.fromEntries(Object.entries(fields).map(([key, value]) => [key, one(value)]));
}

const scaled = ({ x0, y0, x1, y1 }: PlateBox, by: number): PlateBox => ({
  x0: x0 * by,
  y0: y0 * by,
  x1: x1 * by,
  y1: y1 * by,
});

/**
 * Reads a rating plate or a drive's label from its photo; boxes are in points of the photo.
 * @param photo with its longer side at most `photoSide`
 * @param codes reads its bar codes; left out: they are not looked for
 * @param scale points of the picture the boxes are told in, for each of the photo
 */
export async function readPlatePhoto(
  photo: GreyPicture,
  letters: LetterReader,
  { scale = 1, codes, ...options }: PhotoOptions & { scale?: number; codes?: CodeReader } = {},
): Promise<PlateReading> {
  // Codes are read of the photo as it is: they bring a check of their own, and any way up will do.
  const found = (await codes?.(photo)) ?? [];
  const { words, toPhoto } = await readPhoto(photo, letters, options);
  const isOnCode = (word: PlateBox): boolean => {
    const [x, y] = toPhoto((word.x0 + word.x1) / 2, (word.y0 + word.y1) / 2);
    return found.some((code) => x > code.x0 && x < code.x1 && y > code.y0 && y < code.y1);
  };
  const reading = readPlate(words.filter((word) => !isOnCode(word)));
  const move = ({ x0, y0, x1, y1 }: PlateBox): PlateBox => {
    const corners = [toPhoto(x0, y0), toPhoto(x1, y0), toPhoto(x0, y1), toPhoto(x1, y1)];
    const xs = corners.map(([x]) => Math.round(x * scale));
    const ys = corners.map(([, y]) => Math.round(y * scale));
    return { x0: Math.min(...xs), y0: Math.min(...ys), x1: Math.max(...xs), y1: Math.max(...ys) };
  };
  return withCodes(
    { ...reading, fields: moved(reading.fields, move) },
    found.map((code) => ({ ...code, ...scaled(code, scale) })),
  );
}
