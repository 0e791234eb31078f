import { isKnownWord } from '../meaning';

/** What is written before a hyphen and is no word of its own. */
const prefixes = new Set([
  'multi',
  'non',
  'self',
  'auto',
  'anti',
  'semi',
  'pre',
  'over',
  'under',
  'counter',
  'sub',
]);

/**
 * Lines of a cell as one text. A word parted at the end of a line is one again; a hyphen that belongs to the word stays:
 * the parts of "two-wire" are words, those of "fre-quency" are not.
 */
export const joinLines = (lines: readonly string[]): string =>
  lines
    .reduce((text, line) => {
      const part = text.endsWith('-') ? text.slice(text.lastIndexOf(' ') + 1, -1) : undefined;
      const next = /^(?:[a-z]+|\d)/.exec(line)?.[0];
      if (part === undefined || next === undefined) return `${text} ${line}`;
      const isWhole = isKnownWord(part) || prefixes.has(part.toLowerCase());
      const parted = /^[A-Za-z]{2,}$/.test(part) && !(isWhole && isKnownWord(next));
      return (parted ? text.slice(0, -1) : text) + line;
    }, '')
    .replace(/\s+/g, ' ')
    .trim();
