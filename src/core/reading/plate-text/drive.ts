import { solved, type SolvedValue } from './solve';
import type { PlateValue } from './values';
import type { PlateBox, PlateWord } from './words';

/** What of a drive's label has two sides. */
export interface DriveSides {
  inputVolts: SolvedValue[];
  outputAmps: SolvedValue[];
  /** Power, frequencies and what else is on the label. */
  others: SolvedValue[];
}

type Side = 'input' | 'output';

const inputWord = /^\W{0,2}(?:input|in|line|mains|supply)\b/i;
const outputWord = /^\W{0,2}(?:output|out|motor)\b/i;
const sideOf = ({ text }: PlateWord): Side | null =>
  inputWord.test(text) ? 'input' : outputWord.test(text) ? 'output' : null;

const centre = (box: PlateBox): number => (box.x0 + box.x1) / 2;

/**
 * Which side each value is of: by the word its line begins with, or by the column it stands in where both words
 * stand in one line.
 */
function sidesOf(lines: readonly (readonly PlateWord[])[], values: readonly PlateValue[]): (Side | null)[] {
  let columns: { side: Side; x: number }[] | null = null;
  const heads = lines.map((words) =>
    words.flatMap((word) => {
      const side = sideOf(word);
      return side === null ? [] : [{ side, x: centre(word) }];
    }),
  );
  const states = lines.map((_, line): { columns: typeof columns; side: Side | null } => {
    const here = heads[line] ?? [];
    const kinds = new Set(here.map((h) => h.side));
    if (kinds.size === 2) columns = here;
    else if (kinds.size === 1) columns = null;
    return { columns, side: kinds.size === 1 ? (here[0]?.side ?? null) : null };
  });
  let last: Side | null = null;
  const sides = states.map(({ side }) => (last = side ?? last));
  return values.map((value) => {
    const state = states[value.line];
    if (state !== undefined && state.columns !== null)
      return (
        [...state.columns].sort(
          (a, b) => Math.abs(a.x - centre(value.box)) - Math.abs(b.x - centre(value.box)),
        )[0]?.side ?? null
      );
    return sides[value.line] ?? null;
  });
}

/** The values of a drive's label by side: its current has to fit its power and its volts. */
export function driveSides(
  lines: readonly (readonly PlateWord[])[],
  values: readonly PlateValue[],
): DriveSides {
  const sides = sidesOf(lines, values);
  const isOutput = (value: PlateValue, i: number): boolean =>
    value.quantity === 'amps' && sides[i] === 'output';
  const isInput = (value: PlateValue, i: number): boolean =>
    value.quantity === 'volts' && sides[i] === 'input';
  // The rating of the output: power, its current, and the upper of the supply's volts.
  const point: Partial<Record<PlateValue['quantity'], number>> = {};
  values.forEach((value, i) => {
    if (value.quantity === 'power-kW' || value.quantity === 'power-hp') point[value.quantity] ??= i;
    else if (isOutput(value, i)) point.amps ??= i;
    else if (isInput(value, i)) point.volts = i;
  });
  const all = solved(values, { points: [point], ofDrive: true });
  const of = (test: (value: PlateValue, i: number) => boolean): SolvedValue[] =>
    all.filter((_, i) => {
      const value = values[i];
      return value !== undefined && test(value, i);
    });
  return {
    inputVolts: of(isInput),
    outputAmps: of(isOutput),
    others: of(({ quantity }) => quantity !== 'amps' && quantity !== 'volts'),
  };
}
