import type { Control, Operation, Parameter, KeyTouch } from '../../equipment/catalogue';
import { limitsOf, parameterAt, type Rating, type Values } from '../../equipment/drive-words';

/** A keypad: its keys, and the lists it runs through. */
export interface Pad {
  operation: Operation;
  groups: readonly { name: string; numbers: readonly string[] }[];
  parameters: Control['parameters'];
  rating: Rating;
}

/** One press of a key; a ramp is held for so many ticks. */
export interface Press extends KeyTouch {
  ticks?: number;
}

/** A tenth of a second. */
export const tick_s = 0.1;

/**
 * The keypad of a unit, with the entries that are there.
 * @param isThere whether an entry shows at all: options bring theirs with them
 * @returns null where the catalogue does not say how the keys work
 */
export function padOf(
  control: Pick<Control, 'parameters' | 'keypad'>,
  rating: Rating,
  isThere: (p: Parameter) => boolean,
): Pad | null {
  const { operation, menu } = control.keypad;
  if (operation === undefined) return null;
  const shown = (number: string): boolean => {
    const p = parameterAt(control, number);
    return p !== undefined && isThere(p);
  };
  const groups = menu
    .map(({ name, parameters = [] }) => ({ name, numbers: parameters.filter(shown) }))
    .filter(({ numbers }) => numbers.length > 0);
  return { operation, groups, parameters: control.parameters, rating };
}

/** An entry of an option shows where it has a value. */
export const thereWith =
  (values: Values) =>
  ({ needs, number }: Parameter): boolean =>
    needs === undefined ||
    ('option' in needs ? values[number] !== undefined : needs.is.includes(values[needs.number] ?? NaN));

/** What the keys move through in the value of an entry: whole steps, or the places of its choices. */
export interface Track {
  lowest: number;
  highest: number;
  /** Digits that the cursor runs through; 1: it has nothing to move to. */
  digits: number;
  /** Of a value its place, and back. */
  placeOf: (value: number) => number;
  valueAt: (place: number) => number;
}

/** The values that a parameter's keys run through. */
export function trackOf(pad: Pick<Pad, 'rating' | 'operation'>, p: Parameter): Track {
  const { choices, scale } = p;
  if (choices !== undefined)
    return {
      lowest: 0,
      highest: choices.length - 1,
      digits: 1,
      placeOf: (value) =>
        Math.max(
          0,
          choices.findIndex((c) => c.value === value),
        ),
      valueAt: (place) => choices[place]?.value ?? 0,
    };
  const { min, max } = limitsOf(p, pad.rating);
  const [lowest, highest] = [Math.round(min / scale), Math.round(max / scale)];
  return {
    lowest,
    highest,
    digits:
      pad.operation.value.cursor === undefined
        ? 1
        : String(Math.max(Math.abs(lowest), Math.abs(highest))).length,
    placeOf: (value) => Math.round(value / scale),
    valueAt: (place) => Number((place * scale).toFixed(6)),
  };
}

/** How far a key that is held for some ticks has stepped. */
export function heldSteps(hold: NonNullable<Operation['hold']>, ticks: number): number {
  let left = ticks;
  return hold.reduce((sum, { ticks: most = Infinity, by }) => {
    const here = Math.min(left, most);
    left -= here;
    return sum + here * by;
  }, 0);
}

/** Is it the same touch? */
export const same = (a: KeyTouch | undefined, b: KeyTouch): boolean =>
  a !== undefined && a.cap === b.cap && a.held === b.held;
