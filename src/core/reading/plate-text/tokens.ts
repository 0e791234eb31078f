import { asNumber } from './digits';
import { quantityOf, type PlateQuantity } from './labels';
import { boxAround, boxOf, type PlateBox, type PlateWord } from './words';

/** A piece of a line: a number, a unit or label, or something else. */
export interface Token {
  kind: 'number' | 'label' | 'sign' | 'other';
  text: string;
  quantity?: PlateQuantity | undefined;
  confidence: number;
  box: PlateBox;
}

const cut = (word: PlateWord, from: number, to: number): PlateWord => {
  const perSign = (word.x1 - word.x0) / Math.max(1, word.text.length);
  return {
    ...word,
    text: word.text.slice(from, to),
    x0: word.x0 + from * perSign,
    x1: word.x0 + to * perSign,
  };
};

/** "3~380": the phases are no value of what follows. The wave is often read as a dash, which only counts before volts. */
const phasesBefore = /^[13](?:~|ph\.?|phase)|^[13][-–](?=\d{3})/i;

/** Two ones side by side are easily read as one letter with three strokes. */
const withElevens = (text: string): string => text.replace(/[1Il]?[MNn]n?/, '11');

/** How far a reading is trusted that was found only when nothing but digits was allowed. */
const digitsOnlyTrust = 0.8;

/** Numbers and units of one word: "400V" are two, "230/400" three. Type codes stay whole. */
function tokensOfWord(word: PlateWord): Token[] {
  const { text, confidence } = word;
  const whole = quantityOf(text);
  if (whole !== undefined) return [{ kind: 'label', text, quantity: whole, confidence, box: boxOf(word) }];
  const phases = phasesBefore.exec(text)?.[0];
  if (phases !== undefined)
    return [
      { kind: 'sign', text: phases, confidence, box: boxOf(cut(word, 0, phases.length)) },
      ...(phases.length < text.length ? tokensOfWord(cut(word, phases.length, text.length)) : []),
    ];
  const number = asNumber(text);
  if (number !== null && /\d/.test(text))
    return [{ kind: 'number', text: number, confidence, box: boxOf(word) }];
  const pieces = [...text.matchAll(/\d[\d.,]*|[/–~-]+|[^\d/–~-]+/g)];
  const tokens = pieces.flatMap((piece): Token[] => {
    const box = boxOf(cut(word, piece.index, piece.index + piece[0].length));
    const digits = /\d/.test(piece[0]) ? asNumber(piece[0]) : null;
    if (digits !== null) return [{ kind: 'number', text: digits, confidence, box }];
    const quantity = quantityOf(piece[0]);
    if (quantity !== undefined) return [{ kind: 'label', text: piece[0], quantity, confidence, box }];
    if (/^[/–~-]+$/.test(piece[0])) return [{ kind: 'sign', text: piece[0], confidence, box }];
    // Letters of a winding beside its volts: "D400", "Δ/Y".
    if (/^(?:[ΔDYλ]|delta|star)$/i.test(piece[0])) return [];
    return [{ kind: 'other', text: piece[0], confidence, box }];
  });
  // "1LA7" or "IP55" is a code, not the number in it.
  const isCode = tokens.some((t) => t.kind === 'other') && tokens.some((t) => t.kind === 'number');
  if (!isCode && (tokens.length > 1 || tokens[0]?.kind !== 'other')) return tokens;
  const elevens = withElevens(text);
  if (elevens !== text) {
    const again = tokensOfWord({ ...word, text: elevens, confidence: confidence * digitsOnlyTrust });
    if (again.every((t) => t.kind !== 'other')) return again;
  }
  // What it is as digits counts where a label makes it a number.
  const digits = asNumber(word.digits ?? '');
  return [
    digits === null
      ? { kind: 'other', text, confidence, box: boxOf(word) }
      : { kind: 'number', text: digits, confidence: confidence * digitsOnlyTrust, box: boxOf(word) },
  ];
}

/** Two words that are one label, as what they are together. */
const together: readonly (readonly [RegExp, string])[] = [
  // What is behind "cos" is a Greek letter, which readers of letters make all sorts of things of.
  [/^(?:cos\.? (?!\d[.,\d])\S{1,3}|cos\.?[φϕ])$/i, 'cosφ'],
  [/^(?:service factor|s\. ?f\.?)$/i, 's.f.'],
  [/^(?:power factor|p\. ?f\.?)$/i, 'p.f.'],
  [/^m[a-z1|]{0,3} [-–~—]?[1l|]$/i, 'min-1'],
  [/^(?:r|rev|1) ?\/ ?min\.?$/i, 'r/min'],
];

/** Words that are one label together: "cos φ", "r / min". */
function joinedLabels(words: readonly PlateWord[]): PlateWord[] {
  const joined: PlateWord[] = [];
  for (const word of words) {
    const last = joined.at(-1);
    const both = last === undefined ? '' : `${last.text} ${word.text}`;
    const label = together.find(([pattern]) => pattern.test(both))?.[1];
    if (last !== undefined && label !== undefined)
      joined[joined.length - 1] = {
        ...word,
        ...boxAround(last, word),
        text: label,
        confidence: Math.max(last.confidence, word.confidence),
      };
    else joined.push(word);
  }
  return joined;
}

/** The pieces of a line. */
export const tokensOf = (words: readonly PlateWord[]): Token[] => joinedLabels(words).flatMap(tokensOfWord);
