import { quantityOf } from './labels';

/** A word of a photographed plate; y grows downwards. */
export interface PlateWord {
  text: string;
  /** How sure the reader of letters is, 0 to 1. */
  confidence: number;
  /** A word without digits as it reads where only digits are allowed. */
  digits?: string | undefined;
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** A box on the photo. */
export interface PlateBox {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** The box of a word. */
export const boxOf = ({ x0, y0, x1, y1 }: PlateBox): PlateBox => ({ x0, y0, x1, y1 });

/** The box around two. */
export const boxAround = (a: PlateBox, b: PlateBox): PlateBox => ({
  x0: Math.min(a.x0, b.x0),
  y0: Math.min(a.y0, b.y0),
  x1: Math.max(a.x1, b.x1),
  y1: Math.max(a.y1, b.y1),
});

const middle = (w: PlateBox): number => (w.y0 + w.y1) / 2;

/** The height that a share of the words is lower than; 0.5: the usual one. */
export function heightAt(words: readonly PlateBox[], share: number): number {
  const heights = words.map((w) => w.y1 - w.y0).sort((a, b) => a - b);
  return heights[Math.floor(heights.length * share)] ?? 1;
}

/** Words of scratches and grain: read with less than this, and neither a number nor long. */
const leastConfidence = 0.3;
const isGrain = ({ text, confidence }: PlateWord): boolean =>
  text.trim() === '' ||
  (confidence < leastConfidence && !/\d/.test(text) && text.length < 6 && quantityOf(text) === undefined);

/** Of a line's height, how far the middle of a word may lie off the line's. */
const offLine = 0.5;

/** Words that are certainly letters show where the plate is. */
const certain = 0.85;
const isSure = ({ text, confidence }: PlateWord): boolean => confidence >= certain && text.length >= 2;
/** Heights of a letter around them that still belong to it: beside, where a unit may stand, and above or below. */
const beside = 3;
const overAndUnder = 1.2;
/** So many sure words make a plate. */
const leastSure = 5;

/** Without what lies beside the plate, or is much smaller or larger than its letters: scratches, edges, grain. */
function ofPlate(words: readonly PlateWord[]): PlateWord[] {
  const sure = words.filter(isSure);
  const [first] = sure;
  if (first === undefined || sure.length < leastSure) return [...words];
  const plate = sure.map(boxOf).reduce(boxAround, boxOf(first));
  const usual = heightAt(sure, 0.5);
  const least = 0.6 * heightAt(sure, 0.1);
  return words.filter((w) => {
    const inside =
      w.x0 > plate.x0 - beside * usual &&
      w.x1 < plate.x1 + beside * usual &&
      w.y0 > plate.y0 - overAndUnder * usual &&
      w.y1 < plate.y1 + overAndUnder * usual;
    const isLetters = /[\p{L}\d]/u.test(w.text);
    return (
      isSure(w) ||
      (inside &&
        (w.confidence >= certain || ((!isLetters || w.y1 - w.y0 > least) && w.y1 - w.y0 < 2.2 * usual)))
    );
  });
}

/** The words of a plate line by line, from the top; a line's words from the left. */
export function plateLines(words: readonly PlateWord[]): PlateWord[][] {
  const lines: { words: PlateWord[]; middle: number; height: number; weight: number }[] = [];
  // The surest words make the lines; the others join them.
  for (const word of ofPlate(words)
    .filter((w) => !isGrain(w))
    .sort((a, b) => b.confidence - a.confidence)) {
    const height = word.y1 - word.y0;
    const near = lines
      .map((line) => ({ line, off: Math.abs(line.middle - middle(word)) / Math.max(line.height, height) }))
      .sort((a, b) => a.off - b.off)[0];
    if (near === undefined || near.off > offLine)
      lines.push({ words: [word], middle: middle(word), height, weight: word.confidence + 0.01 });
    else {
      const { line } = near;
      const weight = word.confidence + 0.01;
      line.middle = (line.middle * line.weight + middle(word) * weight) / (line.weight + weight);
      line.height = (line.height * line.weight + height * weight) / (line.weight + weight);
      line.weight += weight;
      line.words.push(word);
    }
  }
  return lines.sort((a, b) => a.middle - b.middle).map((line) => line.words.sort((a, b) => a.x0 - b.x0));
}
