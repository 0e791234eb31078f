import { distance } from 'fastest-levenshtein';
import { emptyWords, synonyms } from './synonyms';

/** A word of a text, and what it was read from. */
export interface Word {
  /** The canonical word. */
  word: string;
  /** What is in the text. */
  from: string;
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\/]/g, String.raw`\$&`);
const variants = Object.entries(synonyms).flatMap(([word, list]) =>
  list.split('|').map((variant) => ({ variant, word })),
);

/** One written word → its canonical word. The first that claims it has it. */
const single = new Map<string, string>(
  Object.keys(synonyms).flatMap((word) => (word.includes(' ') ? [] : [[word, word]])),
);
for (const { variant, word } of variants)
  if (!variant.includes(' ') && !single.has(variant)) single.set(variant, word);

/** Several words that are one thing, by their writing without hyphens. */
const several = new Map<string, string>();
const hyphenless = (text: string): string => text.replace(/-/g, ' ');
for (const { variant, word } of variants)
  if (/[^a-z0-9]/.test(variant) && !several.has(hyphenless(variant))) several.set(hyphenless(variant), word);
const severalPattern = new RegExp(
  String.raw`(?<![a-z0-9])(?:${[...several.keys()]
    .sort((a, b) => b.length - a.length)
    .map((v) => escaped(v).replace(/ /g, '[ -]'))
    .join('|')})(?![a-z0-9])`,
  'g',
);

/** Terminals as they are marked in names: "DI3", "S1", "AI2", "RO1". */
const terminalPattern = /^(di|li|mi|x|s|e|din|in|ai|avi|aci|vi|ain|a|v|ro|ry|r|rel|rly|do|y|ao|am|fm)(\d)$/;
const terminalKind: Readonly<Record<string, string>> = {
  ...Object.fromEntries(['di', 'li', 'mi', 'x', 's', 'e', 'din', 'in'].map((t) => [t, 'di'])),
  ...Object.fromEntries(['ai', 'avi', 'aci', 'vi', 'ain', 'a', 'v'].map((t) => [t, 'ai'])),
  ...Object.fromEntries(['ro', 'ry', 'r', 'rel', 'rly', 'do', 'y'].map((t) => [t, 'ro'])),
  ...Object.fromEntries(['ao', 'am', 'fm'].map((t) => [t, 'ao'])),
};

/** What stands in names as a letter or two. */
const shortNames: Readonly<Record<string, readonly string[]>> = {
  v: ['voltage'],
  ci: ['ai', 'second'],
  aci: ['ai', 'second'],
  c1: ['ai', 'second'],
  vi: ['ai', '1'],
  avi: ['ai', '1'],
};

/** Writing of one kind: small letters, one sign for each, ranges of signals as one word. */
const plainWriting = (text: string): string =>
  text
    .replace(/([a-z])([A-Z][a-z])/g, '$1 $2')
    .replace(/[φϕϑΦ]/g, 'phi')
    .replace(/[²]/g, '2')
    .replace(/[Ωω]/g, 'ohm')
    .normalize('NFKD')
    .replace(/[\u0300-\u036F]/g, '')
    .toLowerCase()
    .replace(/[‐‑‒–—−]/g, '-')
    .replace(/[’']s\b/g, '')
    .replace(/\s+/g, ' ')
    .replace(/\b([04]) ?(?:ma|a)? ?(?:-|to|\.{2,3}|…) ?20 ?m?a\b/g, ' ma$1-20 ')
    .replace(/\b0 ?v? ?(?:-|to|\.{2,3}|…) ?\+? ?10 ?v?(?:dc)?\b/g, ' v0-10 ')
    .replace(/(?:± ?10 ?v?|[-+] ?10 ?v? ?(?:-|to|\.{2,3}|…|\/) ?\+? ?10 ?v?)\b/g, ' v±10 ');

/** Known writings, for those that are shortened or misread. */
const known = [...single.keys()].filter((w) => w.length >= 4);

/** A word that is written short ("accel.", "maxim"), or with a letter wrong. */
function nearKnown(word: string): string | undefined {
  if (word.length < 4 || /\d/.test(word)) return undefined;
  const begins = new Set(known.filter((k) => k.startsWith(word)).map((k) => single.get(k)));
  if (begins.size === 1) return [...begins][0];
  if (word.length < 5) return undefined;
  const allowed = word.length >= 8 ? 2 : 1;
  const near = known
    .filter((k) => Math.abs(k.length - word.length) <= allowed && k[0] === word[0])
    .map((k) => ({ k, apart: distance(k, word) }))
    .sort((a, b) => a.apart - b.apart)[0];
  return near !== undefined && near.apart <= allowed ? single.get(near.k) : undefined;
}

/** Is it a word, written out, that names of parameters have? */
export const isKnownWord = (word: string): boolean => single.has(word.toLowerCase());

const remembered = new Map<string, string | undefined>();
function canonicalOf(word: string): string | undefined {
  const direct = single.get(word);
  if (direct !== undefined) return direct;
  if (!remembered.has(word)) {
    // A manual brings a few hundred new words; what was made of scans must not pile up for ever.
    if (remembered.size > 20_000) remembered.clear();
    remembered.set(word, nearKnown(word));
  }
  return remembered.get(word);
}

/** Symbols of quantities as formulas have them (IEC 60027, from memory). */
const symbols: Readonly<Record<string, string>> = {
  f: 'freq',
  n: 'speed',
  i: 'current',
  u: 'voltage',
  p: 'power',
};

/** "fmax", "Imin", "Un" as the words they stand for. */
const quantitySymbol = (quantity: string, index: string, from: string): Word[] =>
  [symbols[quantity] ?? quantity, index === 'max' || index === 'min' ? index : 'rated'].map((word) => ({
    word,
    from,
  }));

function wordsOfPiece(piece: string): Word[] {
  if (emptyWords.has(piece)) return [];
  const writtenShort = shortNames[piece];
  if (writtenShort !== undefined) return writtenShort.map((word) => ({ word, from: piece }));
  const exact = single.get(piece);
  if (exact !== undefined) return exact.split(' ').map((word) => ({ word, from: piece }));
  const terminal = terminalPattern.exec(piece);
  if (terminal !== null) {
    const [, kind, number] = [...terminal];
    return [
      { word: terminalKind[kind ?? ''] ?? '', from: piece },
      { word: wordOfNumber(number ?? ''), from: piece },
    ];
  }
  if (/^\d+$/.test(piece)) return [{ word: wordOfNumber(piece), from: piece }];
  const symbol = /^([fniup])(max|min|nom)$/.exec(piece);
  if (symbol !== null) return quantitySymbol(symbol[1] ?? '', symbol[2] ?? '', piece);
  const mixed = /^([a-z]{2,})(\d{1,2})$/.exec(piece);
  if (mixed !== null) return [mixed[1] ?? '', mixed[2] ?? ''].flatMap(wordsOfPiece);
  return [{ word: canonicalOf(piece) ?? piece, from: piece }];
}

const wordOfNumber = (number: string): string => (number === '2' ? 'second' : number);

/** Marks a canonical word in the text while the rest is still to be read. */
const mark = '\u0001';

/**
 * The canonical words of a text, in its order; words that say nothing are left out.
 * "Accel. time 2" gives accel, time, second.
 */
export function wordsOf(text: string): Word[] {
  const words = telling(text);
  // "On" alone says something, though it says nothing in "action on loss".
  return words.length > 0
    ? words
    : text
        .toLowerCase()
        .split(/[^a-z0-9%]+/)
        .flatMap((piece) => (piece === '' ? [] : [{ word: piece, from: piece }]));
}

/** "Motor Un": a symbol with its n for nominal, which alone would be another word. */
const ratedSymbols = (text: string): string =>
  text.replace(
    /\b(motor|mot\.?) ([fniup])n\b/g,
    (_, motor: string, quantity: string) => `${motor} ${quantity}nom`,
  );

function telling(text: string): Word[] {
  const plain = plainWriting(text);
  const found: string[] = [];
  const marked = ratedSymbols(plain.replace(/ to$/, ' upto')).replace(severalPattern, (match) => {
    found.push(match);
    return ` ${mark}${found.length - 1}${mark} `;
  });
  return marked.split(/[^a-z0-9%±\u0001-]+|(?<![a-z0-9])-|-(?![a-z0-9])/).flatMap((piece): Word[] => {
    if (piece === '') return [];
    const [, index] = /^\u0001(\d+)\u0001$/.exec(piece) ?? [];
    if (index !== undefined) {
      const from = found[Number(index)] ?? '';
      return (several.get(hyphenless(from)) ?? from).split(' ').map((word) => ({ word, from }));
    }
    if (/^(?:ma|v)[±\d]/.test(piece) || single.has(piece)) return wordsOfPiece(piece);
    return piece.split('-').flatMap((part) => (part === '' ? [] : wordsOfPiece(part)));
  });
}

/** Writings that more than one canonical word claims: only the first has them. For the tests. */
export const contested = (): string[] => {
  const claims = new Map<string, string[]>();
  for (const { variant, word } of variants) claims.set(variant, [...(claims.get(variant) ?? []), word]);
  return [...claims].flatMap(([variant, words]) =>
    words.length > 1 ? [`${variant}: ${words.join(', ')}`] : [],
  );
};
