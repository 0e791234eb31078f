import type { Control, Parameter } from '../../equipment/catalogue';
import { entryFor } from './entry';

type Parameters = Pick<Control, 'parameters'>;

const tidy = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}%]+/gu, ' ')
    .trim();

/** The entry of a name as somebody copied it: capitals and signs do not matter, missing words neither where only one entry has the others. */
export function entryNamed({ parameters }: Parameters, name: string): Parameter | undefined {
  const wanted = tidy(name);
  if (!/\p{L}{3}/u.test(wanted)) return undefined;
  const exact = parameters.filter((p) => tidy(p.name) === wanted);
  if (exact.length > 0) return exact.length === 1 ? exact[0] : undefined;
  const words = wanted.split(' ');
  const having = parameters.filter((p) => {
    const own = tidy(p.name).split(' ');
    return words.every((word) => own.includes(word));
  });
  return having.length === 1 ? having[0] : undefined;
}

/** What stands between a name and a value on a display or on paper. */
const between = /^[\s:=.…]+/;

const startsWith = (text: string, name: string): boolean => text.toLowerCase().startsWith(name.toLowerCase());

/**
 * A line as it is copied from a display, without columns: "P1-03 Ramp up 5.0 s", "P1-03=5", "Ramp up: 5 s".
 * @returns the number of the entry and the text of its value; null where no entry is meant
 */
export function displayLine(control: Parameters, line: string): { number: string; text: string } | null {
  const text = line.trim();
  const [, first = '', rest = ''] = /^([^\s=:]+)([\s=:].*)$/.exec(text) ?? [];
  const numbered = first === '' ? undefined : entryFor(control, first);
  if (numbered !== undefined) {
    const behind = rest.replace(between, '');
    const value = startsWith(behind, numbered.name) ? behind.slice(numbered.name.length) : behind;
    // A name that is written otherwise ends where a colon or an equals sign says so.
    const split = /^[^\d:=]*[:=](.*)$/.exec(value);
    return { number: numbered.number, text: (split?.[1] ?? value).replace(between, '').trim() };
  }
  const named = control.parameters
    .filter((p) => startsWith(text, p.name))
    .sort((a, b) => b.name.length - a.name.length)[0];
  if (named !== undefined) {
    const value = text.slice(named.name.length);
    if (/^[\s:=]/.test(value)) return { number: named.number, text: value.replace(between, '').trim() };
  }
  const [, name = '', value = ''] = /^([^:=]+)[:=](.*)$/.exec(text) ?? [];
  const meant = entryNamed(control, name);
  return meant === undefined ? null : { number: meant.number, text: value.trim() };
}
