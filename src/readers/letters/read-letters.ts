import type { PlateBox, PlateWord } from '@/core/reading/plate-text';
import { cleaned, evened, hasLightLetters, inkOf, skewOf } from './clean';
import { cutOut, piecesOf } from './pieces';
import { turned, type GreyPicture, type Mapped } from './picture';

/** What a reader of letters makes of a picture with one line, one letter, or a word of nothing but digits: words with their places. */
export type LetterReader = (picture: GreyPicture, what: 'line' | 'letter' | 'digits') => Promise<PlateWord[]>;

/** A photo as it was read. */
export interface PhotoText {
  /** Words of the picture made level; sure ones and those that may be grain. */
  words: PlateWord[];
  /** Where a point of the level picture is on the photo. */
  toPhoto: Mapped['toSource'];
}

/** How a photo is read. */
export interface PhotoOptions {
  /** Told after each piece, 0 to 1. */
  onProgress?: (share: number) => void;
}

/** Letters are read best when the picture is so large; common practice, no source. */
const bestSide = 1800;
const largestScale = 2.5;
const trialSide = 900;

type QuarterTurns = 0 | 1 | 2 | 3;

/** The picture upright, level and clean, with where its points came from. */
function prepared(photo: GreyPicture, quarterTurns: QuarterTurns): Mapped {
  const side = Math.max(photo.width, photo.height);
  const trial = turned(photo, quarterTurns * 90, Math.min(1, trialSide / side));
  const even = evened(trial.picture);
  const sign = hasLightLetters(even) ? -1 : 1;
  const skew = skewOf(inkOf(even, sign), trial.picture.width, trial.picture.height);
  const level = turned(photo, quarterTurns * 90 - skew, Math.min(largestScale, bestSide / side));
  return {
    picture: cleaned(level.picture, evened(level.picture), sign),
    toSource: level.toSource,
  };
}

/** White around a piece, which readers of letters need. */
const rim = 12;
/** Higher than wide by so much is one letter. */
const letterShape = 1.1;
/** Pictures of a whole page have more; a plate does not. */
const mostPieces = 150;

/** The words of a piece, in places of the whole picture; read smaller, where grain weighs less, if so wished. */
export async function wordsOfPiece(
  picture: GreyPicture,
  box: PlateBox,
  read: LetterReader,
  scale = 1,
): Promise<PlateWord[]> {
  const what = box.x1 - box.x0 < letterShape * (box.y1 - box.y0) ? 'letter' : 'line';
  const cut = cutOut(picture, box, rim);
  const words = await read(scale === 1 ? cut : turned(cut, 0, scale).picture, what);
  return words.map((word) => ({
    ...word,
    x0: word.x0 / scale + box.x0 - rim,
    x1: word.x1 / scale + box.x0 - rim,
    y0: word.y0 / scale + box.y0 - rim,
    y1: word.y1 / scale + box.y0 - rim,
  }));
}

/** Words so short, or read with less, may be a number that was read as letters: "n" for 11, "1N.5A". */
const shortWord = 3;
const doubtful = 0.7;
const mayBeNumber = ({ text, confidence }: PlateWord): boolean =>
  (text.length <= shortWord && !/\d/.test(text)) || (confidence < doubtful && /\d/.test(text));

/** The word with what it reads as where only digits are allowed. */
async function withDigits(picture: GreyPicture, word: PlateWord, read: LetterReader): Promise<PlateWord> {
  if (!mayBeNumber(word)) return word;
  const box = {
    x0: Math.round(word.x0),
    y0: Math.round(word.y0),
    x1: Math.round(word.x1),
    y1: Math.round(word.y1),
  };
  if (box.x1 <= box.x0 || box.y1 <= box.y0) return word;
  const [digits] = await read(cutOut(picture, box, rim), 'digits');
  return digits === undefined || digits.text === word.text ? word : { ...word, digits: digits.text };
}

/** Sure words of some length, which no grain makes. */
const isSure = ({ text, confidence }: PlateWord): boolean => confidence >= 0.85 && text.length >= 3;
/** So many sure words, and the picture is upright. */
const sureEnough = 4;
/** Pieces that tell which way up a picture is. */
const triedPieces = 12;

/** Read with less, a piece is read again smaller. */
const readAgainBelow = 0.8;
const smaller = 0.7;

const least = (words: readonly PlateWord[]): number => Math.min(1, ...words.map((w) => w.confidence));

/** Is a piece among the sure words, or close to them? What is read beside the plate is not worth a second look. */
function nearSure(sure: readonly PlateWord[], piece: PlateBox): boolean {
  const reach = 3 * (piece.y1 - piece.y0);
  return sure.some(
    (w) =>
      w.x0 - reach < piece.x1 &&
      w.x1 + reach > piece.x0 &&
      w.y0 - reach < piece.y1 &&
      w.y1 + reach > piece.y0,
  );
}

/** A second look at a piece that was read badly: smaller, and short words as digits. */
async function readAgain(
  picture: GreyPicture,
  piece: PlateBox,
  words: readonly PlateWord[],
  read: LetterReader,
): Promise<PlateWord[]> {
  let best = words;
  if (words.length === 0 || least(words) < readAgainBelow) {
    const again = await wordsOfPiece(picture, piece, read, smaller);
    if (again.length > 0 && (words.length === 0 || least(again) > least(words))) best = again;
  }
  const withAll: PlateWord[] = [];
  for (const word of best) withAll.push(await withDigits(picture, word, read));
  return withAll;
}

async function readTurned(
  photo: GreyPicture,
  read: LetterReader,
  quarterTurns: QuarterTurns,
  onProgress: (share: number) => void,
): Promise<PhotoText> {
  const { picture, toSource } = prepared(photo, quarterTurns);
  const pieces = piecesOf(picture).slice(0, mostPieces);
  const first: PlateWord[][] = [];
  for (const piece of pieces) {
    first.push(await wordsOfPiece(picture, piece, read));
    onProgress(first.length / pieces.length / 2);
  }
  const sure = first.flat().filter(isSure);
  const words: PlateWord[] = [];
  for (const [i, piece] of pieces.entries()) {
    const once = first[i] ?? [];
    words.push(...(nearSure(sure, piece) ? await readAgain(picture, piece, once, read) : once));
    onProgress(0.5 + (i + 1) / pieces.length / 2);
  }
  return { words, toPhoto: toSource };
}

/** How many sure words the widest pieces give, turned so. */
async function promiseOf(
  photo: GreyPicture,
  read: LetterReader,
  quarterTurns: QuarterTurns,
): Promise<number> {
  const { picture } = prepared(photo, quarterTurns);
  const widest = piecesOf(picture)
    .sort((a, b) => b.x1 - b.x0 - (a.x1 - a.x0))
    .slice(0, triedPieces);
  let sure = 0;
  for (const piece of widest) sure += (await wordsOfPiece(picture, piece, read)).filter(isSure).length;
  return sure;
}

/**
 * Reads the letters of a photo: upright as it is, or turned where that gives no words.
 * @param photo at most about 2000 points on its longer side; larger ones only take longer
 */
export async function readPhoto(
  photo: GreyPicture,
  read: LetterReader,
  { onProgress = () => undefined }: PhotoOptions = {},
): Promise<PhotoText> {
  const upright = await readTurned(photo, read, 0, onProgress);
  if (upright.words.filter(isSure).length >= sureEnough) return upright;
  let best: { turns: QuarterTurns; sure: number } = { turns: 0, sure: upright.words.filter(isSure).length };
  for (const turns of [2, 1, 3] as const) {
    const sure = await promiseOf(photo, read, turns);
    if (sure > best.sure) best = { turns, sure };
  }
  return best.turns === 0 ? upright : readTurned(photo, read, best.turns, onProgress);
}
