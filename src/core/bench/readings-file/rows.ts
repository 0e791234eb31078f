// From text to rows: what was given for the red lead, the black lead and the values, with its line.
import Papa from 'papaparse';
import * as z from 'zod';

/** A line of the text, split into what may be terminals and values. */
export interface TableRow {
  /** Counted from 1; of a JSON text that is one array, the item. */
  line: number;
  given: string;
  /** Null when the row has no such parts. */
  parts: { red: string; black: string; values: string[] } | null;
}

/** A number is a figure: a bare 1 out of it must not look like the 1 by which some meters show overload. */
const word = z.union([z.string(), z.number().transform((n) => (n === 1 ? '1.000' : String(n)))]);
const itemSchema = z.looseObject({ red: z.string(), black: z.string(), value: word });
const caseSchema = z.looseObject({ readings: z.array(z.unknown()) });

const json = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
};

const itemRow = (line: number, given: string, item: unknown): TableRow => {
  const read = itemSchema.safeParse(item);
  return {
    line,
    given,
    parts: read.success ? { red: read.data.red, black: read.data.black, values: [read.data.value] } : null,
  };
};

function jsonRows(text: string): TableRow[] {
  const whole = json(text);
  const asCase = caseSchema.safeParse(whole);
  const items: readonly unknown[] | null = Array.isArray(whole)
    ? whole
    : asCase.success
      ? asCase.data.readings
      : null;
  if (items !== null) return items.map((item, i) => itemRow(i + 1, JSON.stringify(item), item));
  return text.split(/\r?\n/).flatMap((l, i) => (l.trim() === '' ? [] : [itemRow(i + 1, l.trim(), json(l))]));
}

/** Column names that are understood, in small letters. */
const columns = {
  red: ['red', 'plus', 'from'],
  black: ['black', 'minus', 'to', 'com'],
  value: ['value', 'value_v', 'reading', 'volts', 'v'],
  earlier: ['earlier', 'earlier_v'],
} as const;

function csvRows(text: string): TableRow[] {
  const { data } = Papa.parse<string[]>(text, {
    delimitersToGuess: ['\t', ';', ',', '|', ' '],
  });
  const head = (data.find((r) => r.join('').trim() !== '') ?? []).map((c) => c.trim().toLowerCase());
  const column = (names: readonly string[]): number => head.findIndex((c) => names.includes(c));
  const at = {
    red: column(columns.red),
    black: column(columns.black),
    value: column(columns.value),
    earlier: column(columns.earlier),
  };
  const headed = at.red >= 0 && at.black >= 0 && at.value >= 0;
  let headSeen = !headed;
  return data.flatMap((cells, i): TableRow[] => {
    if (cells.join('').trim() === '') return [];
    if (!headSeen) {
      headSeen = true;
      return [];
    }
    const cell = (index: number): string => (cells[index] ?? '').trim();
    const row = { line: i + 1, given: cells.join(' ').trim() };
    if (!headed)
      return [
        {
          ...row,
          parts: cells.length === 3 ? { red: cell(0), black: cell(1), values: [cell(2)] } : null,
        },
      ];
    const earlier =
      at.earlier < 0
        ? []
        : cell(at.earlier)
            .split(/\s+/)
            .filter((v) => v !== '');
    return [
      { ...row, parts: { red: cell(at.red), black: cell(at.black), values: [...earlier, cell(at.value)] } },
    ];
  });
}

/** JSON Lines, a JSON array, a case with `readings`, or a table with or without a head. */
export const rowsOfText = (text: string): TableRow[] => {
  const tidy = text.replace(/^\uFEFF/, '').trim();
  if (tidy === '') return [];
  return /^[[{]/.test(tidy) ? jsonRows(tidy) : csvRows(tidy);
};
