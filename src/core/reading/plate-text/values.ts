import { asNumber } from './digits';
import { quantityOf, type PlateQuantity } from './labels';
import { boxAround, boxOf, type PlateBox, type PlateWord } from './words';

/** A piece of a line: a number, a unit or label, or something else. */
interface Token {
  kind: 'number' | 'label' | 'sign' | 'other';
  text: string;
  quantity?: PlateQuantity | undefined;
  confidence: number;
  box: PlateBox;
}

/** A number of a plate and what it is. */
export interface PlateValue {
  quantity: PlateQuantity;
  digits: string;
  confidence: number;
  box: PlateBox;
  /** How surely it is this quantity: by a unit beside it, a label before it, or a head above it. */
  assigned: number;
  /** The line it is on, from the top. */
  line: number;
}

const cut = (word: PlateWord, from: number, to: number): PlateBox => {
  const perSign = (word.x1 - word.x0) / Math.max(1, word.text.length);
  return { ...boxOf(word), x0: word.x0 + from * perSign, x1: word.x0 + to * perSign };
};

/** Numbers and units of one word: "400V" are two, "230/400" three. Type codes stay whole. */
function tokensOfWord(word: PlateWord): Token[] {
  const { text, confidence } = word;
  const whole = quantityOf(text);
  if (whole !== undefined) return [{ kind: 'label', text, quantity: whole, confidence, box: boxOf(word) }];
  // "3~": the phases are no value of the label that follows.
  if (/^[13] ?(?:~|ph\.?)$/i.test(text)) return [{ kind: 'sign', text, confidence, box: boxOf(word) }];
  const number = asNumber(text);
  if (number !== null && /\d/.test(text))
    return [{ kind: 'number', text: number, confidence, box: boxOf(word) }];
  const pieces = [...text.matchAll(/\d[\d.,]*|[/–~-]+|[^\d/–~-]+/g)];
  const tokens = pieces.flatMap((piece): Token[] => {
    const box = cut(word, piece.index, piece.index + piece[0].length);
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
  return isCode ? [{ kind: 'other', text, confidence, box: boxOf(word) }] : tokens;
}

/** Words that are one label together: "cos φ", "r / min". */
function joinedLabels(words: readonly PlateWord[]): PlateWord[] {
  const joined: PlateWord[] = [];
  for (const word of words) {
    const last = joined.at(-1);
    const both = last === undefined ? '' : `${last.text} ${word.text}`;
    if (last !== undefined && /^cos\.?$/i.test(last.text) && /^[φϕøo0@pq9¢]|^phi/i.test(word.text))
      joined[joined.length - 1] = {
        ...word,
        ...boxAround(last, word),
        text: 'cosφ',
        confidence: Math.min(last.confidence, word.confidence),
      };
    else if (last !== undefined && /^(?:service factor|power factor|s\. ?f\.?|p\. ?f\.?)$/i.test(both))
      joined[joined.length - 1] = { ...word, ...boxAround(last, word), text: both };
    else joined.push(word);
  }
  return joined;
}

const centre = (box: PlateBox): number => (box.x0 + box.x1) / 2;

interface HeadLine {
  line: number;
  labels: Token[];
}

/** A line of units over columns of values. */
const isHead = (tokens: readonly Token[]): boolean =>
  tokens.filter((t) => t.kind === 'label').length >= 3 && tokens.every((t) => t.kind !== 'number');

/** How surely a number belongs to the label: close behind or before, or under it. */
const unitBehind = 0.99;
const labelBefore = 0.97;
const headAbove = 0.96;
/** Lines below a head that still belong to it. */
const reach = 8;

/** Numbers of one line that share a label: parted by a stroke or a dash, or simply one after the other. */
function assignInLine(tokens: readonly Token[], line: number): PlateValue[] {
  const values: PlateValue[] = [];
  const labels = tokens.filter((t) => t.kind === 'label');
  const first = tokens.find((t) => t.kind === 'label' || t.kind === 'number');
  const labelFirst = first?.kind === 'label';
  tokens.forEach((token, i) => {
    if (token.kind !== 'number' || labels.length === 0) return;
    // Over other numbers and strokes to the label that these numbers share.
    const find = (step: 1 | -1): Token | undefined => {
      for (let j = i + step; j >= 0 && j < tokens.length; j += step) {
        const other = tokens[j];
        if (other === undefined || other.kind === 'other') return undefined;
        if (other.kind === 'label') return other;
      }
      return undefined;
    };
    const [nearest, farther] = labelFirst ? [find(-1), find(1)] : [find(1), find(-1)];
    const label = nearest ?? farther;
    if (label?.quantity === undefined) return;
    values.push({
      quantity: label.quantity,
      digits: token.text,
      confidence: token.confidence,
      box: token.box,
      assigned: labelFirst ? labelBefore : unitBehind,
      line,
    });
  });
  return values;
}

/** Numbers under a head of units, by the column they stand in. */
function assignUnder(head: HeadLine, tokens: readonly Token[], line: number): PlateValue[] {
  return tokens.flatMap((token): PlateValue[] => {
    if (token.kind !== 'number') return [];
    const label = [...head.labels].sort(
      (a, b) => Math.abs(centre(a.box) - centre(token.box)) - Math.abs(centre(b.box) - centre(token.box)),
    )[0];
    if (label?.quantity === undefined) return [];
    return [
      {
        quantity: label.quantity,
        digits: token.text,
        confidence: token.confidence,
        box: token.box,
        assigned: headAbove,
        line,
      },
    ];
  });
}

/** All numbers of a plate that have a label, with the place each was found at. */
export function valuesOf(lines: readonly (readonly PlateWord[])[]): PlateValue[] {
  let head: HeadLine | null = null;
  return lines.flatMap((words, line) => {
    const tokens = joinedLabels(words).flatMap(tokensOfWord);
    if (isHead(tokens)) {
      head = { line, labels: tokens.filter((t) => t.kind === 'label') };
      return [];
    }
    const own = assignInLine(tokens, line);
    const numbers = tokens.filter((t) => t.kind === 'number').length;
    if (head !== null && line - head.line <= reach && numbers >= 2 && own.length < numbers)
      return assignUnder(head, tokens, line);
    return own;
  });
}
