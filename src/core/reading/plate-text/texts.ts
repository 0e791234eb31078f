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

/** The first group of a pattern on any line, with its place. */
export function textBy(lines: readonly (readonly PlateWord[])[], pattern: RegExp): PlateText | undefined {
  for (const words of lines) {
    const line = lineText(words);
    const found = pattern.exec(line.text);
    const value = found?.[1];
    if (found === null || value === undefined) continue;
    const from = found.index + found[0].lastIndexOf(value);
    const parts = wordsAt(line, from, from + value.length);
    const [first, ...rest] = parts;
    if (first === undefined) continue;
    return {
      value: value.trim(),
      confidence: Math.min(...parts.map((w) => w.confidence)),
      box: rest.reduce<PlateBox>(boxAround, boxOf(first)),
    };
  }
  return undefined;
}
