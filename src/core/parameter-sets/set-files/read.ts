import Papa from 'papaparse';
import type { Control } from '../../equipment/catalogue';
import type { Rating, Values } from '../../equipment/drive-words';
import { checksumOf } from './checksum';
import { pairsOfDcf } from './dcf';
import { displayLine, entryNamed } from './display-line';
import { entryFor, valueFor } from './entry';

/** One line of a set's text and what became of it. */
export interface SetLine {
  /** In the text, from 1. */
  line: number;
  number: string;
  text: string;
  state: 'taken' | 'unknown' | 'refused' | 'twice';
  /** What was made of it, or why nothing was. */
  words: string;
}

/** A set as it was read from text. */
export interface SetText {
  form: 'table' | 'json' | 'dcf' | 'empty';
  lines: SetLine[];
  values: Values;
  /** What the type does not know; kept as it came. */
  strangers: { number: string; text: string }[];
  /** What the text says of itself. */
  about: { typeId?: string; serial?: string; firmware?: string; checksum?: string };
  /** Why the text as a whole cannot be read; null: it can. */
  trouble: string | null;
}

/** `refused`: why it is not taken whatever is in it. */
type Pair = { line: number; number: string; text: string; refused?: string };

const numberHeads = /^(no|nr|number|entry|param(eter)?|index|code|id)\b/i;
const valueHeads = /^(value|setting|set|actual|wert|now)\b/i;

/** The mark of text in a spreadsheet, before what it would take for a formula. */
const unmarked = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r])/, '');

/** Rows of a table: by its heads where it has some, else the first column and the last that is not empty; lines without columns as on a display. */
function pairsOf(text: string, control: Pick<Control, 'parameters'>): Pair[] {
  const lines = text.split(/\r\n|\n|\r/);
  /** Whatever the first column is not the number of: a name, or a line without columns. */
  const known = (pair: Pair): Pair => {
    if (entryFor(control, pair.number) !== undefined) return pair;
    const named = entryNamed(control, pair.number);
    if (named !== undefined && pair.text !== '') return { ...pair, number: named.number };
    const copied = displayLine(control, lines[pair.line - 1] ?? '');
    return copied === null ? pair : { line: pair.line, ...copied };
  };
  // A quoted cell may go over lines: then they are no longer the rows.
  return columnsOf(text).map((pair, _, pairs) =>
    pairs.length > lines.length || /"/.test(text) ? pair : known(pair),
  );
}

function columnsOf(text: string): Pair[] {
  // A comma may belong to a figure: it separates only where nothing else does.
  const delimiter = ['\t', ';'].find((d) => text.includes(d)) ?? ',';
  const { data } = Papa.parse<string[]>(text, { delimiter });
  const rows = data.map((cells, i) => ({ line: i + 1, cells: cells.map((c) => unmarked(c.trim())) }));
  const heads = rows.find(({ cells }) => cells.some((c) => c !== ''))?.cells ?? [];
  const at = heads.findIndex((h) => numberHeads.test(h));
  const valueAt = heads.findIndex((h, i) => i !== at && valueHeads.test(h));
  const headed = at >= 0 && valueAt >= 0;
  const first = rows.findIndex(({ cells }) => cells === heads);
  return rows.slice(headed ? first + 1 : 0).flatMap(({ line, cells }): Pair[] => {
    const number = headed ? (cells[at] ?? '') : (cells[0] ?? '');
    const value = headed ? (cells[valueAt] ?? '') : (cells.slice(1).find((c) => c !== '') ?? '');
    if (number === '') return [];
    // `A-02,12,5`: 12, or 12.5 with a comma? Nobody is asked who could tell, so it is not taken.
    const beyond = cells.slice(headed ? heads.length : 2).filter((c) => c !== '');
    const split =
      delimiter === ',' && digits.test(value) && beyond.length > 0 && beyond.every((c) => digits.test(c));
    return [
      split
        ? {
            ...{ line, number, text: [value, ...beyond].join(',') },
            refused: `${value} or ${value}.${beyond.join('')}? Write the value with a point, or in quotation marks`,
          }
        : { line, number, text: value },
    ];
  });
}

const digits = /^\d+$/;

const isRecord = (x: unknown): x is Record<string, unknown> =>
  typeof x === 'object' && x !== null && !Array.isArray(x);

/** Our own file, or any object of numbers and values. */
function pairsOfJson(given: unknown): { pairs: Pair[]; about: SetText['about'] } | null {
  if (!isRecord(given)) return null;
  const values = isRecord(given['values']) ? given['values'] : given;
  const word = (key: string): string | undefined => {
    const value = given[key];
    return typeof value === 'string' ? value : undefined;
  };
  const strangers = Array.isArray(given['strangers']) ? given['strangers'].filter(isRecord) : [];
  const pairs = [
    ...Object.entries(values).flatMap(([number, value]) =>
      typeof value === 'number' || typeof value === 'string' ? [{ number, text: String(value) }] : [],
    ),
    ...strangers.map((s) => ({ number: String(s['number']), text: String(s['text']) })),
  ].map((pair, i) => ({ ...pair, line: i + 1 }));
  const [typeId, serial, firmware, checksum] = ['typeId', 'serial', 'firmware', 'checksum'].map(word);
  return {
    pairs: isRecord(given['values'])
      ? pairs
      : pairs.filter((p) => !['typeId', 'serial', 'firmware', 'checksum'].includes(p.number)),
    about: {
      ...(typeId === undefined ? {} : { typeId }),
      ...(serial === undefined ? {} : { serial }),
      ...(firmware === undefined ? {} : { firmware }),
      ...(checksum === undefined ? {} : { checksum }),
    },
  };
}

const nothing: Omit<SetText, 'trouble'> = { form: 'empty', lines: [], values: {}, strangers: [], about: {} };

/** A set from text, line by line: nothing is dropped, and of a number that comes twice neither is guessed at. */
export function readSetText(text: string, control: Pick<Control, 'parameters'>, rating: Rating): SetText {
  const tidy = text.replace(/^\uFEFF/, '').trim();
  if (tidy === '') return { ...nothing, trouble: 'The file is empty.' };
  const isDcf = /^\[[\w ]+\]\s*$/m.test(tidy.slice(0, 400)) && !tidy.startsWith('{');
  const isJson = !isDcf && (tidy.startsWith('{') || tidy.startsWith('['));
  let made: { pairs: Pair[]; about: SetText['about'] } | null;
  try {
    made = isDcf
      ? pairsOfDcf(tidy, control)
      : isJson
        ? pairsOfJson(JSON.parse(tidy))
        : { pairs: pairsOf(text.replace(/^\uFEFF/, ''), control), about: {} };
  } catch {
    return {
      ...nothing,
      form: 'json',
      trouble: 'The file is cut off or not JSON: copy it again from its source.',
    };
  }
  if (made === null)
    return { ...nothing, form: 'json', trouble: 'A set must be an object of parameter numbers and values.' };
  const { pairs, about } = made;
  const values: Record<string, number> = {};
  const strangers: SetText['strangers'] = [];
  const known = pairs.map((pair) => ({ ...pair, p: entryFor(control, pair.number) }));
  const texts = new Map<string, string[]>();
  for (const { p, text: given } of known)
    if (p !== undefined) texts.set(p.number, [...(texts.get(p.number) ?? []), given]);
  const lines = known.map(({ line, number, text: given, p, refused }): SetLine => {
    const said = (state: SetLine['state'], words: string): SetLine => ({
      line,
      number,
      text: given,
      state,
      words,
    });
    if (p === undefined) {
      strangers.push({ number, text: given });
      return said('unknown', 'not a parameter of this type; stored unchanged');
    }
    const same = texts.get(p.number) ?? [];
    if (same.some((t) => t !== given))
      return said('twice', `${p.number} occurs ${same.length} times with different values`);
    if (refused !== undefined) return said('refused', refused);
    const read = valueFor(p, rating, given);
    if ('refused' in read) return said('refused', read.refused);
    values[p.number] = read.value;
    return said('taken', `${p.number} ${p.name}${read.note === null ? '' : `: ${read.note}`}`);
  });
  const cut =
    about.checksum !== undefined &&
    about.typeId !== undefined &&
    about.checksum !== checksumOf(about.typeId, values);
  return {
    form: isDcf ? 'dcf' : isJson ? 'json' : 'table',
    lines,
    values,
    strangers,
    about,
    trouble:
      Object.keys(values).length === 0
        ? 'No parameter of this type found: is it the right type?'
        : cut
          ? 'Checksum mismatch: the file was changed, is incomplete, or belongs to another type.'
          : null,
  };
}
