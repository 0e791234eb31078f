import { boxAround, boxOf, type PlateBox, type PlateWord } from './words';

/** A text of a plate, with how surely it was read. */
export interface PlateText {
  value: string;
  confidence: number;
  box: PlateBox;
}

interface LineText {
  text: string;
  words: readonly PlateWord[];
}

const lineText = (words: readonly PlateWord[]): LineText => ({
  text: words.map((w) => w.text).join(' '),
  words,
});

/** The words that a part of a line's text is made of. */
function wordsAt({ words }: LineText, from: number, to: number): PlateWord[] {
  let at = 0;
  return words.filter((word) => {
    const begin = at;
    at += word.text.length + 1;
    return begin < to && begin + word.text.length > from;
  });
}

const around = ([first, ...rest]: readonly PlateWord[]): PlateBox | undefined =>
  first === undefined ? undefined : rest.reduce<PlateBox>(boxAround, boxOf(first));

/** The first group of a pattern on any line, with its place. */
export function textBy(lines: readonly (readonly PlateWord[])[], pattern: RegExp): PlateText | undefined {
  for (const words of lines) {
    const line = lineText(words);
    const found = pattern.exec(line.text);
    const value = found?.[1];
    if (found === null || value === undefined) continue;
    const from = found.index + found[0].lastIndexOf(value);
    const parts = wordsAt(line, from, from + value.length);
    const box = around(parts);
    if (box === undefined) continue;
    return { value: value.trim(), confidence: Math.min(...parts.map((w) => w.confidence)), box };
  }
  return undefined;
}

/** A text in a cell under its label is as far below as this many heights of the label. */
const farBelow = 4;

/** The word under a label, where labels stand over their values. */
export function textUnder(
  lines: readonly (readonly PlateWord[])[],
  label: RegExp,
  value: RegExp,
): PlateText | undefined {
  for (const [i, words] of lines.entries()) {
    const line = lineText(words);
    const found = label.exec(line.text);
    if (found === null) continue;
    const head = around(wordsAt(line, found.index, found.index + found[0].length));
    if (head === undefined) continue;
    const height = head.y1 - head.y0;
    const below = lines
      .slice(i + 1)
      .flat()
      .filter(({ x0, x1, y0 }) => x0 < head.x1 && x1 > head.x0 - height && y0 - head.y1 < farBelow * height);
    const word = below.find(({ text }) => value.test(text));
    const text = word === undefined ? undefined : value.exec(word.text)?.[1];
    if (word !== undefined && text !== undefined)
      return { value: text, confidence: word.confidence, box: boxOf(word) };
  }
  return undefined;
}
