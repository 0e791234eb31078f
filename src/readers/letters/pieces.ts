import type { PlateBox } from '@/core/reading/plate-text';
import type { GreyPicture } from './picture';
import { spotsOf } from './spots';

/** Darker than this is ink on a cleaned picture. */
const inkLevel = 128;

const heightOf = (box: PlateBox): number => box.y1 - box.y0;

/** Letters of a plate are so high, as shares of the usual height. */
const lowest = 0.55;
/** Points and dashes, which hold the letters beside them together. */
const smallest = 0.1;
const highest = 1.9;
/** Letters this far apart, in heights, are of two pieces. */
const pieceGap = 0.9;

/** The usual height of letters: where most of the boxes are, by their area. */
function usualHeight(boxes: readonly PlateBox[]): number {
  const tall = boxes
    .filter((b) => heightOf(b) >= 12 && heightOf(b) <= 160 && b.x1 - b.x0 <= 3 * heightOf(b))
    .map(heightOf)
    .sort((a, b) => a - b);
  return tall[Math.floor(0.6 * tall.length)] ?? 0;
}

/**
 * The pieces of text on a cleaned picture: letters that stand close together on a line.
 * Boxes of full letters make the pieces; points and dashes between are inside.
 */
export function piecesOf(picture: GreyPicture): PlateBox[] {
  const ink = new Uint8Array(picture.data.length);
  for (let i = 0; i < ink.length; i += 1) ink[i] = (picture.data[i] ?? 255) < inkLevel ? 1 : 0;
  const boxes = [...spotsOf(ink, picture.width, { corners: false })].map(({ box }) => box);
  const usual = usualHeight(boxes);
  const letters = boxes
    .filter((b) => heightOf(b) > smallest * usual && heightOf(b) < highest * usual && b.x1 - b.x0 < 4 * usual)
    .sort((a, b) => a.x0 - b.x0);
  const pieces: PlateBox[] = [];
  for (const letter of letters) {
    const own = pieces.find(
      (p) =>
        letter.x0 - p.x1 < pieceGap * usual &&
        Math.min(p.y1, letter.y1) - Math.max(p.y0, letter.y0) > 0.6 * Math.min(heightOf(p), heightOf(letter)),
    );
    if (own === undefined) pieces.push({ ...letter });
    else {
      own.x1 = Math.max(own.x1, letter.x1);
      own.y0 = Math.min(own.y0, letter.y0);
      own.y1 = Math.max(own.y1, letter.y1);
    }
  }
  return pieces.filter((piece) => heightOf(piece) > lowest * usual);
}

/** A part of a picture with a white rim, its letters at a given height. */
export function cutOut({ width, height, data }: GreyPicture, box: PlateBox, rim: number): GreyPicture {
  const w = box.x1 - box.x0 + 2 * rim;
  const h = box.y1 - box.y0 + 2 * rim;
  const out = new Uint8Array(w * h).fill(255);
  for (let y = 0; y < h; y += 1) {
    const sy = box.y0 - rim + y;
    if (sy < 0 || sy >= height) continue;
    // A little of what is around, so that soft rims and points stay; not the neighbours.
    const near = Math.min(rim, 6);
    for (let x = rim - near; x < w - rim + near; x += 1) {
      const sx = box.x0 - rim + x;
      if (sx >= 0 && sx < width && y >= rim - near && y < h - rim + near)
        out[y * w + x] = data[sy * width + sx] ?? 255;
    }
  }
  return { width: w, height: h, data: out };
}
