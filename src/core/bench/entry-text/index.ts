// Typed text to a meter reading.
import type { Value } from '../../equipment/power-stage';

/** What a text can mean. */
export type TypedReading =
  | { kind: 'value'; value: Value }
  /** It could mean several things: ask. */
  | { kind: 'question'; why: string; choices: { value: Value; words: string }[] }
  | { kind: 'unreadable'; why: string };

/** How meters and people write overload; "1." alone is how old displays show it. */
const overload = /^(?:[O0]\.?L\.?|\.[O0]L|OVER(?:LOAD|FLOW)?|OFL|INF(?:INITY)?|∞|1\s?\.|---+)$/;
const climbing = /^(?:C|CLIMB(?:S|ING)?|RISING|↑)$/;
const figure = /^([+-]?)(\d+(?:\.\d*)?|\.\d+)\s*(MV|V|VOLTS?)?$/;

const tidy = (text: string): string =>
  text
    .trim()
    .replace(/[−–—]/g, '-')
    .replace(/^(\S*\d),(\d)/, '$1.$2')
    .replace(/^,(\d)/, '.$1')
    .replace(/\s+/g, ' ')
    .toUpperCase();

const words = (volts: number): string => `${Number(volts.toFixed(4))} V`;

/**
 * Reads what was typed for a diode test.
 * @param ceiling_V above this the meter shows overload, so no figure can be above it
 */
export function readDiodeTest(text: string, ceiling_V: number): TypedReading {
  const t = tidy(text);
  if (t === '') return { kind: 'unreadable', why: 'Type the meter reading, or press O for OL.' };
  if (overload.test(t)) return { kind: 'value', value: 'OL' };
  if (climbing.test(t)) return { kind: 'value', value: 'climbing' };
  const match = figure.exec(t);
  if (match === null)
    return {
      kind: 'unreadable',
      why: `“${text.trim().slice(0, 24)}” is not a reading. Type volts, e.g. 0.451, or O for OL.`,
    };
  const [, sign = '', digits = '', unit = ''] = match;
  const number = Number(digits) * (sign === '-' ? -1 : 1);
  const volts = unit === 'MV' ? number / 1000 : number;
  if (unit === '' && digits === '1' && sign === '')
    return {
      kind: 'question',
      why: 'Some meters show OL as a single 1.',
      choices: [
        { value: 'OL', words: 'OL' },
        { value: 1, words: '1.000 V' },
      ],
    };
  if (Math.abs(volts) > ceiling_V) return tooBig(volts, unit, ceiling_V);
  if (volts < 0)
    return {
      kind: 'question',
      why: 'Negative reading: leads swapped, or the capacitor bank is charged.',
      choices: [{ value: volts, words: `save ${words(volts)}` }],
    };
  return { kind: 'value', value: volts };
}

/** No diode test shows this much: a missing point or unit. Only readings a junction can give are offered. */
function tooBig(volts: number, unit: string, ceiling_V: number): TypedReading {
  const slips = unit === '' ? [10, 100, 1000] : [];
  const likely = slips
    .map((factor) => Number((volts / factor).toPrecision(6)))
    .filter((v) => Math.abs(v) >= 0.1 && Math.abs(v) <= Math.min(ceiling_V, 1.2));
  return {
    kind: 'question',
    why: `A diode test cannot show ${words(volts)}: the display limit is ${words(ceiling_V)}.`,
    choices: [
      ...likely.map((value) => ({ value, words: words(value) })),
      { value: 'OL' as const, words: 'OL' },
    ],
  };
}

/** Volts as they were typed, or why they cannot be read. */
export type TypedVolts = { kind: 'volts'; volts: number } | { kind: 'unreadable'; why: string };

/** Reads what was typed for a voltage of the dead proof; a figure is wanted, no tick. */
export function readVolts(text: string): TypedVolts {
  const t = tidy(text);
  if (t === '') return { kind: 'unreadable', why: 'Type the meter reading, even if it is 0.' };
  if (overload.test(t) && t !== '1.')
    return {
      kind: 'unreadable',
      why: 'OL is not a voltage: set the meter to a higher range and measure again.',
    };
  const match = figure.exec(t);
  if (match === null)
    return {
      kind: 'unreadable',
      why: `“${text.trim().slice(0, 24)}” is not a voltage. Type volts, e.g. 3.1, even if it is 0.`,
    };
  const [, sign = '', digits = '', unit = ''] = match;
  const volts = (Number(digits) * (sign === '-' ? -1 : 1)) / (unit === 'MV' ? 1000 : 1);
  return Math.abs(volts) > 2000
    ? {
        kind: 'unreadable',
        why: `${words(volts)} is beyond the range of the meter: check the decimal point.`,
      }
    : { kind: 'volts', volts };
}
