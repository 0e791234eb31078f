import type { PlateBox, PlateWord } from '@/core/reading/plate-text';
import { cleaned, evened, inkOf, rulesOf, skewOf, withoutRules } from './clean';
import { piecesOf } from './pieces';
import { turned, type GreyPicture } from './picture';
import { wordsOfPiece, type LetterReader } from './read-letters';

/** Points of small print are made of few dots: only these are grain. */
const grain = 3;

/** Pieces that tell which way up a page is, and how well they are read when it is right. */
const triedPieces = 10;
const wellRead = 0.75;
/** Lines that fall by less are level, degrees. */
const level = 0.2;
/** Enough points to tell how lines fall. */
const trialSide = 1100;

/** A page made level and clean, with its pieces of text. */
interface Prepared {
  picture: GreyPicture;
  pieces: PlateBox[];
}

function prepared(picture: GreyPicture): Prepared {
  const small = turned(picture, 0, Math.min(1, trialSide / Math.max(picture.width, picture.height))).picture;
  const skew = skewOf(inkOf(evened(small), 1), small.width, small.height);
  const upright = Math.abs(skew) < level ? picture : turned(picture, -skew).picture;
  const even = evened(upright);
  const rules = rulesOf(upright, even, 1);
  return {
    picture: withoutRules(upright, rules),
    pieces: piecesOf(cleaned(upright, even, 1, { grain, rules })),
  };
}

/** A prepared page upside down. */
function upsideDown({ picture, pieces }: Prepared): Prepared {
  const { width, height } = picture;
  return {
    picture: { width, height, data: picture.data.slice().reverse() },
    pieces: pieces.map(({ x0, y0, x1, y1 }) => ({
      x0: width - x1,
      x1: width - x0,
      y0: height - y1,
      y1: height - y0,
    })),
  };
}

/** The words of a piece; all are as high as their line, since rows are told by height. */
const wordsOf = async (picture: GreyPicture, box: PlateBox, read: LetterReader): Promise<PlateWord[]> =>
  (await wordsOfPiece(picture, box, read)).map((word) => ({ ...word, y0: box.y0, y1: box.y1 }));

/** How well the widest pieces are read, 0 to 1: each letter counts with the confidence of its word. */
async function promiseOf(page: Prepared, read: LetterReader): Promise<number> {
  const widest = [...page.pieces].sort((a, b) => b.x1 - b.x0 - (a.x1 - a.x0)).slice(0, triedPieces);
  const words: PlateWord[] = [];
  for (const piece of widest) words.push(...(await wordsOf(page.picture, piece, read)));
  const letters = words.reduce((sum, { text }) => sum + text.length, 0);
  return (
    words.reduce((sum, { text, confidence }) => sum + text.length * confidence, 0) / Math.max(1, letters)
  );
}

/** The page the right way up. Upside down is always tried: some of its words look like words; on its side hardly any does. */
async function uprightPage(picture: GreyPicture, read: LetterReader): Promise<Prepared> {
  let best = prepared(picture);
  if (best.pieces.length === 0) return best;
  let promise = 0;
  for (const turn of [0, 90]) {
    if (promise >= wellRead) return best;
    const upright = turn === 0 ? best : prepared(turned(picture, turn).picture);
    for (const page of [upright, upsideDown(upright)]) {
      const next = await promiseOf(page, read);
      if (next > promise) [best, promise] = [page, next];
    }
  }
  return best;
}

/** What a scanned page says: words with their places on the page made upright and level. */
export interface ScanText {
  width: number;
  height: number;
  words: PlateWord[];
}

/** Reads the letters of a scanned page, piece by piece; a page upside down or on its side is turned. */
export async function readScan(picture: GreyPicture, read: LetterReader): Promise<ScanText> {
  const page = await uprightPage(picture, read);
  const words: PlateWord[] = [];
  for (const piece of page.pieces) words.push(...(await wordsOf(page.picture, piece, read)));
  return { width: page.picture.width, height: page.picture.height, words };
}
