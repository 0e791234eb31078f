import type { Control, Parameter } from '../../equipment/catalogue';
import { limitsOf, boundsText, type Rating } from '../../equipment/drive-words';
import { kilowattsPerHorsepower } from '../../terms';

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A spreadsheet makes a date of "1-05": what it was before. */
function beforeTheSpreadsheet(text: string): string {
  const date = /^(?:([a-z]{3})-(\d{1,2})|(\d{1,2})-([a-z]{3}))$/i.exec(text);
  if (date === null) return text;
  const month = months.indexOf((date[1] ?? date[4] ?? '').toLowerCase());
  const rest = date[2] ?? date[3] ?? '';
  return month < 0 ? text : `${month + 1}-${rest.padStart(2, '0')}`;
}

const plain = (number: string): string => number.toLowerCase().replace(/\b0+(?=\d)/g, '');

/** The entry of a number as somebody wrote it: leading zeros and capitals do not matter where only one fits. */
export function entryFor({ parameters }: Pick<Control, 'parameters'>, text: string): Parameter | undefined {
  const wanted = beforeTheSpreadsheet(text.trim());
  const exact = parameters.find((p) => p.number === wanted);
  if (exact !== undefined) return exact;
  const alike = parameters.filter((p) => plain(p.number) === plain(wanted));
  return alike.length === 1 ? alike[0] : undefined;
}

/** A value as it was read, with a note on how, or why it cannot be taken. */
export type ReadValue =
  | { value: number; note: string | null }
  /** Why it cannot be taken. */
  | { refused: string };

/** "14,8 A", "1.234,5", "150 %": the figure and what stands behind it. */
function figureOf(text: string): { figure: number; unit: string } | null {
  const found = /^([-+−]?[\d.,' ]*\d)(\D*)$/.exec(text.trim());
  if (found === null) return null;
  const raw = (found[1] ?? '').replace(/[' ]/g, '').replace('−', '-');
  const last = Math.max(raw.lastIndexOf(','), raw.lastIndexOf('.'));
  const both = raw.includes(',') && raw.includes('.');
  const tidy = both
    ? `${raw.slice(0, last).replace(/[.,]/g, '')}.${raw.slice(last + 1)}`
    : raw.replace(',', '.');
  const figure = Number(tidy);
  return Number.isFinite(figure) ? { figure, unit: (found[2] ?? '').trim() } : null;
}

const sameUnit = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

function choiceOf(p: Parameter, text: string): ReadValue {
  const choices = p.choices ?? [];
  const wanted = text.trim().toLowerCase();
  const byName = choices.find((c) => c.name.toLowerCase() === wanted);
  // "1", "1: on", "1 - on"; of "1.5" nothing is a choice.
  const lead = /^(\d+)(?=$|[\s:=–-])/.exec(wanted)?.[1];
  const byNumber = lead === undefined ? undefined : choices.find((c) => c.value === Number(lead));
  const found = byName ?? byNumber;
  return found === undefined
    ? { refused: `${p.name} has no choice “${text.trim()}”` }
    : { value: found.value, note: null };
}

/** What is written behind a number, as a value of its entry. */
export function valueFor(p: Parameter, rating: Rating, text: string): ReadValue {
  if (p.choices !== undefined) return choiceOf(p, text);
  const read = figureOf(text);
  if (read === null) return { refused: `“${text.trim()}” is not a number` };
  const { unit } = read;
  const inHp = sameUnit(unit, 'hp') && p.unit === 'kW';
  if (unit !== '' && !inHp && !sameUnit(unit, p.unit ?? ''))
    return { refused: `in ${unit}, the parameter is in ${p.unit ?? 'no unit'}` };
  const figure = inHp ? read.figure * kilowattsPerHorsepower : read.figure;
  const value = Number((Math.round(figure / p.scale) * p.scale).toFixed(6));
  // A conversion ends where it ends; what was written must be a value that the drive can have.
  if (!inHp && Math.abs(value - figure) > 1e-9)
    return { refused: `${read.figure} is between two steps of ${p.scale}: ${value} is the nearest` };
  const { min, max } = limitsOf(p, rating);
  if (value < min - 1e-9 || value > max + 1e-9)
    return { refused: `${value} is outside ${boundsText(p, rating)}` };
  const notes = [
    ...(inHp ? [`${read.figure} hp × ${kilowattsPerHorsepower} = ${Number(figure.toFixed(3))} kW`] : []),
    ...(Math.abs(value - figure) > 1e-9 ? [`${Number(figure.toFixed(4))} in steps of ${p.scale}`] : []),
  ];
  return { value, note: notes.length === 0 ? null : notes.join('; ') };
}
