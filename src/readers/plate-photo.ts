import { readPlate, type PlateBox, type PlateReading } from '@/core/reading/plate-text';
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

/**
 * Reads a rating plate or a drive's label from its photo; boxes are in points of the photo.
 * @param photo with its longer side at most `photoSide`
 * @param scale points of the picture the boxes are told in, for each of the photo
 */
export async function readPlatePhoto(
  photo: GreyPicture,
  letters: LetterReader,
  { scale = 1, ...options }: PhotoOptions & { scale?: number } = {},
): Promise<PlateReading> {
  const { words, toPhoto } = await readPhoto(photo, letters, options);
  const reading = readPlate(words);
  const move = ({ x0, y0, x1, y1 }: PlateBox): PlateBox => {
    const corners = [toPhoto(x0, y0), toPhoto(x1, y0), toPhoto(x0, y1), toPhoto(x1, y1)];
    const xs = corners.map(([x]) => Math.round(x * scale));
    const ys = corners.map(([, y]) => Math.round(y * scale));
    return { x0: Math.min(...xs), y0: Math.min(...ys), x1: Math.max(...xs), y1: Math.max(...ys) };
  };
  return { ...reading, fields: moved(reading.fields, move) };
}
