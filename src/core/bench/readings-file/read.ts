import { readDiodeTest } from '../entry-text';
import { terminals, type Probe, type Terminal, type Value } from '../../equipment/power-stage';
import { rowsOfText } from './rows';

/** A reading as it can be kept, and how it was written. */
export interface Given extends Probe {
  value: Value;
  typed: string;
}

type Outcome =
  | { kind: 'reading'; reading: Given }
  /** The value can mean several things: ask. */
  | { kind: 'question'; why: string; choices: { words: string; reading: Given }[] }
  /** Kept before: the same probe with the same value, and the text has it no oftener. */
  | { kind: 'known'; reading: Given }
  | { kind: 'unreadable'; why: string };

/** One reading of the text. */
export type ReadingLine = { line: number; given: string } & Outcome;

/** A terminal and the marking on it. */
export interface Named {
  mark: string;
  terminal: string;
}

type Bare = Probe & { value: Value };

/** More than any plan asks, with every probe taken four times. */
export const mostReadings = 400;

const shape = 'Three columns are required: red lead, black lead, value. A header row is allowed.';

const plain = (text: string): string => text.replace(/[−–—]/g, '-').replace(/\s+/g, '').toUpperCase();

/** Which terminals a name can mean: by its marking or by its neutral name. */
function meanings(strip: readonly Named[]): (name: string) => Terminal[] {
  const known = strip.flatMap(({ mark, terminal }) => {
    const found = terminals.find((t) => t === terminal);
    return found === undefined ? [] : [{ names: [plain(mark), found], terminal: found }];
  });
  return (name) => known.filter((k) => k.names.includes(plain(name))).map((k) => k.terminal);
}

function readValue(text: string, ceiling_V: number, made: (value: Value) => Given): Outcome {
  const typed = readDiodeTest(text, ceiling_V);
  if (typed.kind === 'unreadable') return typed;
  if (typed.kind === 'value') return { kind: 'reading', reading: made(typed.value) };
  const choices = typed.choices.map(({ words, value }) => ({ words, reading: made(value) }));
  const [only, ...others] = choices;
  // A figure below zero in a record was meant so: there is nothing else to choose.
  return only !== undefined && others.length === 0
    ? { kind: 'reading', reading: only.reading }
    : { kind: 'question', why: typed.why, choices };
}

/**
 * Reads a text of diode-test readings: JSON Lines, JSON or a table.
 * @param strip the screws there are; one may be called by its mark or by its neutral name
 * @param kept readings kept already: the same file given twice must not pass for a confirmation
 * @param ceiling_V where the display of the meter ends
 */
export function readReadings(
  text: string,
  strip: readonly Named[],
  kept: readonly Bare[],
  ceiling_V: number,
): ReadingLine[] {
  const meant = meanings(strip);
  const keyOf = ({ red, black, value }: Bare): string => `${red} ${black} ${value}`;
  const unmatched = new Map<string, number>();
  for (const r of kept) unmatched.set(keyOf(r), (unmatched.get(keyOf(r)) ?? 0) + 1);
  const matched = (reading: Given): boolean => {
    const left = unmatched.get(keyOf(reading)) ?? 0;
    if (left > 0) unmatched.set(keyOf(reading), left - 1);
    return left > 0;
  };
  const marks = strip.flatMap((s) => (isTerminal(s.terminal) ? [s.mark] : [])).join(', ');
  const terminalOf = (name: string): Terminal | string => {
    const [one, other] = meant(name);
    const called = `“${name.trim().slice(0, 24)}”`;
    if (one === undefined) return `${called}: no such terminal. This drive has ${marks}.`;
    return other === undefined ? one : `${called} matches two terminals, ${one} and ${other}: choose one.`;
  };
  const read = (redName: string, blackName: string, value: string): Outcome => {
    const [red, black] = [terminalOf(redName), terminalOf(blackName)];
    if (!isTerminal(red)) return { kind: 'unreadable', why: red };
    if (!isTerminal(black)) return { kind: 'unreadable', why: black };
    if (red === black) return { kind: 'unreadable', why: 'Both leads are on the same terminal.' };
    const outcome = readValue(value, ceiling_V, (v) => ({ red, black, value: v, typed: value.slice(0, 40) }));
    if (outcome.kind === 'reading') return matched(outcome.reading) ? { ...outcome, kind: 'known' } : outcome;
    const answered = outcome.kind === 'question' && outcome.choices.find((c) => matched(c.reading));
    return answered ? { kind: 'known', reading: answered.reading } : outcome;
  };
  return rowsOfText(text).flatMap(({ line, given, parts }): ReadingLine[] =>
    parts === null
      ? [{ line, given, kind: 'unreadable', why: shape }]
      : parts.values.map((value) => ({ line, given, ...read(parts.red, parts.black, value) })),
  );
}

const isTerminal = (name: string): name is Terminal => terminals.some((t) => t === name);
