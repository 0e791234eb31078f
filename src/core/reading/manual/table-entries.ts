import { oneLine, withoutEnds } from '../../text';
import { unitOf } from '../meaning';
import { choicesIn, type ReadChoice } from './choices';
import type { CellLines, ManualAlarm, ManualEntry, ReadDefault } from './entry';
import { halfRangeOf, numberOf, rangeOf, unitAlone, valueOf } from './figures';
import type { Role } from './heads';
import { joinLines } from './lines';
import { isFaultCode, isParameterNumber, tidyNumber } from './numbers';

/** A row of a table by the roles of its columns. */
export type RowByRole = ReadonlyMap<Role, CellLines>;

const textOf = (lines: CellLines | undefined): string => joinLines(lines ?? []);

const dash = /^[-–—−.]*$/;
/** Two values, for 50 Hz and 60 Hz, in a text of single spaces. */
const pair =
  /^([-+]?\d[\d.,]*)(?: ?[A-Za-z%]{1,4})? ?[/(] ?([-+]?\d[\d.,]*) ?\)?(?: ?([A-Za-z%°Ω/]{1,6}))?\)?$/;

interface ReadDefaultCell {
  value: ReadDefault;
  unit: string | null;
  text: string | null;
}

/** A default as it is printed; choices may be given by their name. */
function defaultOf(text: string, choices: readonly ReadChoice[]): ReadDefaultCell {
  if (dash.test(text)) return { value: null, unit: null, text: null };
  const [, a, b, unit] = pair.exec(text.replace(/[−–]/g, '-')) ?? [];
  const first = a === undefined ? null : numberOf(a);
  const second = b === undefined ? null : numberOf(b);
  if (first !== null && second !== null)
    return { value: { '50Hz': first, '60Hz': second }, unit: unitAlone(unit ?? ''), text: null };
  const named = choices.find((c) => c.name.toLowerCase() === text.toLowerCase());
  if (named !== undefined) return { value: named.value, unit: null, text: null };
  const value = valueOf(text.replace(/^\[(\d+)\].*$/, '$1'));
  // "1.0 × rated current" and "100 % of rated" are no numbers of this parameter's own.
  if (value === null || /[×x*·] ?[A-Za-z]|\bof\b|\brated\b|\bnominal\b/i.test(text))
    return { value: null, unit: null, text };
  return { value: value.value, unit: value.unit, text: null };
}

const bracketUnit = / ?[[(] ?([^\s[\]()]{1,8}) ?[\])]$/;

/** The name without the unit that stands behind it. */
function nameAndUnit(text: string): { name: string; unit: string | null } {
  const behind = bracketUnit.exec(text);
  const unit = behind === null ? null : unitAlone(behind[1] ?? '');
  const comma = /, ?([^ ,]{1,6})$/.exec(text);
  const afterComma = unit === null && comma !== null ? unitAlone(comma[1] ?? '') : null;
  if (unit !== null) return { name: text.replace(bracketUnit, ''), unit };
  return afterComma === null
    ? { name: text, unit: null }
    : { name: text.slice(0, comma?.index), unit: afterComma };
}

/** Two defaults by region, where the table has a column for each. */
function regionDefaults(row: RowByRole, choices: readonly ReadChoice[]): ReadDefaultCell {
  const [at50, at60] = (['default-50', 'default-60'] as const).map((role) => {
    const read = defaultOf(textOf(row.get(role)), choices);
    return { ...read, number: typeof read.value === 'number' ? read.value : null };
  });
  const one = at50?.number ?? at60?.number ?? null;
  const both =
    at50 !== undefined &&
    at60 !== undefined &&
    at50.number !== null &&
    at60.number !== null &&
    at50.number !== at60.number
      ? { '50Hz': at50.number, '60Hz': at60.number }
      : one;
  return { value: both, unit: at50?.unit ?? at60?.unit ?? null, text: at50?.text ?? at60?.text ?? null };
}

interface ReadRangeCell {
  min: number | null;
  max: number | null;
  unit: string | null;
  text: string | null;
  choices: ReadChoice[];
}

/** What a cell of ranges or choices says; of both together in one cell, both. */
function rangeCell(lines: CellLines): ReadRangeCell {
  const text = textOf(lines);
  const choices = choicesIn(lines);
  const range = rangeOf(text);
  const nothing = { min: null, max: null, unit: null, text: null, choices };
  if (choices.length > 0) {
    // "0 … 3" may stand before the list of what the values mean.
    const before =
      range !== null && /^[-\d.\s…–to]+(?:\s|$)/.test(text) && range.unit === null ? range : null;
    const values = choices.map((c) => c.value);
    return { ...nothing, min: before?.min ?? Math.min(...values), max: before?.max ?? Math.max(...values) };
  }
  if (range !== null) return { ...nothing, ...range };
  const half = halfRangeOf(text);
  if (half !== null) return { ...nothing, ...half, text };
  return { ...nothing, text: dash.test(text) ? null : text };
}

/** The choices that have a column for the value and one for what it means. */
function choicesInColumns(row: RowByRole): ReadChoice[] {
  const names = row.get('choice-name') ?? [];
  const values = row.get('choice-value') ?? row.get('range') ?? [];
  const pairs = values.flatMap((line, i): ReadChoice[] => {
    const name = names[i];
    return /^\d{1,5}$/.test(line.trim()) && name !== undefined ? [{ value: Number(line), name }] : [];
  });
  return pairs.length >= 2 && pairs.length === values.length && values.length === names.length ? pairs : [];
}

/** Where an entry stands. */
export interface Standing {
  page: number;
  group: string | null;
  box: ManualEntry['box'];
}

/** Number and name where both are in one cell: "P1-03 Maximum frequency". */
export function numberAndName(text: string): { number: string; name: string } | null {
  const [, first = '', second = ''] =
    /^([^ ]{1,14}(?: [.\-:/] ?[0-9A-Fa-f]{1,4})?)(?: [:–—-])? ([^ ].*)$/.exec(oneLine(text)) ?? [];
  if (!isParameterNumber(first) || !/[A-Za-z]{2}/.test(second)) return null;
  return { number: tidyNumber(first), name: withoutEnds(second, '–—:- ') };
}

/**
 * A parameter from a row of a table.
 * @returns null where the row has no number or no name
 */
export function entryFrom(row: RowByRole, standing: Standing): ManualEntry | null {
  const ownNumber = (row.get('number') ?? []).find((line) => isParameterNumber(line));
  const together = numberAndName(textOf(row.get('number') ?? row.get('name')));
  const named = ownNumber === undefined ? together?.name : textOf(row.get('name'));
  const number = ownNumber === undefined ? together?.number : tidyNumber(ownNumber);
  if (number === undefined || named === undefined || !/[A-Za-z]/.test(named)) return null;
  const { name, unit: unitInName } = nameAndUnit(named);
  const inColumns = choicesInColumns(row);
  const ranged = rangeCell(row.get('range') ?? []);
  const inNames = choicesIn(row.get('choice-name') ?? []);
  const listed = rangeCell(row.get('choices') ?? []);
  const choices = [inColumns, listed.choices, ranged.choices, inNames].find((c) => c.length > 0) ?? [];
  const values = choices.map((c) => c.value);
  const least = valueOf(textOf(row.get('min')))?.value ?? ranged.min ?? listed.min;
  const most = valueOf(textOf(row.get('max')))?.value ?? ranged.max ?? listed.max;
  const given =
    row.has('default-50') || row.has('default-60')
      ? regionDefaults(row, choices)
      : defaultOf(textOf(row.get('default')), choices);
  const unitText = textOf(row.get('unit'));
  const unitColumn = dash.test(unitText) || unitText.length > 12 ? null : unitOf(unitText);
  const numeric = choices.length === 0;
  return {
    number,
    name: name.trim(),
    unit: unitColumn ?? unitInName ?? (numeric ? (ranged.unit ?? listed.unit ?? given.unit) : null),
    min: least ?? (values.length > 0 ? Math.min(...values) : null),
    max: most ?? (values.length > 0 ? Math.max(...values) : null),
    default: given.value,
    choices,
    rangeText: ranged.text ?? (row.has('range') ? null : listed.text),
    defaultText: given.text,
    register: registerOf(textOf(row.get('register'))),
    ...standing,
  };
}

const registerOf = (text: string): number | null => {
  const hex = /^(?:0x([0-9A-F]{1,4})|([0-9A-F]{1,4})\s?h)$/i.exec(text.trim());
  if (hex !== null) return Number.parseInt(hex[1] ?? hex[2] ?? '', 16);
  return /^\d{1,6}$/.test(text.trim()) ? Number(text.trim()) : null;
};

/** A fault from a row of a table; null where it has no code or no name. */
export function alarmFrom(row: RowByRole, { page, box }: Standing): ManualAlarm | null {
  const code = (row.get('code') ?? []).map((line) => line.trim()).find((line) => isFaultCode(line));
  const whole = textOf(row.get('fault-name'));
  const apart = code === undefined ? /^(\S+)\s+(\S.*)$/.exec(textOf(row.get('code')) || whole) : null;
  const first = apart?.[1] ?? '';
  const found = code ?? (isFaultCode(first) ? first : undefined);
  const name = code === undefined ? (apart?.[2] ?? '') : whole;
  if (found === undefined || !/[A-Za-z]/.test(name)) return null;
  return { code: found, name, cause: textOf(row.get('cause')), remedy: textOf(row.get('remedy')), page, box };
}
