import type { Control, Parameter } from '../catalogue';
import type { ConceptId } from '../concepts';

/** What a model is rated for: limits and defaults may be shares of it. */
export interface Rating {
  ratedAmps: number;
  power_kW: number;
  supply_V: number;
}

/** Values by parameter number, in the unit of the parameter; of a choice its number. */
export type Values = Readonly<Record<string, number>>;

type Amount = NonNullable<Parameter['min']>;

const amountOf = (amount: Amount, rating: Rating): number => {
  if (typeof amount === 'number') return amount;
  const whole = {
    'rated-amps': rating.ratedAmps,
    'rated-power': rating.power_kW,
    'supply-volts': rating.supply_V,
  }[amount.of];
  return whole * amount.times;
};

/** To the nearest step the drive can hold. */
const stepped = (value: number, { scale }: Parameter): number =>
  Number((Math.round(value / scale) * scale).toFixed(6));

/** The range of a parameter on one model; what is not known of it is without end. */
export const limitsOf = (p: Parameter, rating: Rating): { min: number; max: number } => ({
  min: p.min === undefined ? -Infinity : stepped(amountOf(p.min, rating), p),
  max: p.max === undefined ? Infinity : stepped(amountOf(p.max, rating), p),
});

/** A range in figures, as far as it is known. */
export function boundsText(p: Parameter, rating: Rating): string {
  const { min, max } = limitsOf(p, rating);
  if (min === -Infinity && max === Infinity) return 'any value (range not known)';
  if (max === Infinity) return `${min} and more (upper limit not known)`;
  return min === -Infinity ? `up to ${max} (lower limit not known)` : `${min} to ${max}`;
}

/** A range with its unit. */
export const rangeText = (p: Parameter, rating: Rating): string =>
  `${boundsText(p, rating)}${p.unit === undefined ? '' : ` ${p.unit}`}`;

/** What the factory sets on one model for one region; undefined where nobody knows. */
export function defaultOf(p: Parameter, rating: Rating, region: '50Hz' | '60Hz'): number | undefined {
  const amount = typeof p.default === 'object' && '50Hz' in p.default ? p.default[region] : p.default;
  return amount === undefined ? undefined : stepped(amountOf(amount, rating), p);
}

/** What the factory sets on one model for one region, of all parameters where that is known. */
export const factoryValues = (
  parameters: readonly Parameter[],
  rating: Rating,
  region: '50Hz' | '60Hz',
): Record<string, number> =>
  Object.fromEntries(
    parameters.flatMap((p) => {
      const value = defaultOf(p, rating, region);
      return value === undefined ? [] : [[p.number, value]];
    }),
  );

const isSigned = (p: Parameter): boolean => typeof p.min === 'number' && p.min < 0;

/** Does the word on the bus hold this value? */
export function fitsWord(p: Parameter, value: number): boolean {
  const steps = Math.round(value / p.scale);
  return isSigned(p) ? steps >= -0x8000 && steps <= 0x7fff : steps >= 0 && steps <= 0xffff;
}

/** Why a parameter of this model does not take a value: its choices, range, step or word; null: it takes it. */
export function valueFault(p: Parameter, value: number, rating: Rating): string | null {
  if (p.readOnly) return `${p.number} is read only.`;
  if (p.choices !== undefined)
    return p.choices.some((c) => c.value === value) ? null : `${p.number} has no choice ${value}.`;
  const { min, max } = limitsOf(p, rating);
  if (value < min || value > max) return `${p.number} takes ${rangeText(p, rating)}, not ${value}.`;
  if (Math.abs(value - stepped(value, p)) > 1e-6)
    return `${p.number} takes steps of ${p.scale}, not ${value}.`;
  return fitsWord(p, value) ? null : `${p.number} cannot be ${value}: outside its register range.`;
}

/**
 * Value to the word on the bus; negative values in two's complement.
 * @throws RangeError where the word does not hold it: 6553.7 s must not become 0.1 s
 */
export function rawOf(p: Parameter, value: number): number {
  if (!fitsWord(p, value))
    throw new RangeError(`${p.number} cannot be ${value}: outside its register range.`);
  return Math.round(value / p.scale) & 0xffff;
}

/** The word on the bus to a value; signed where the range goes below zero. */
export function valueOf(p: Parameter, raw: number): number {
  const signed = isSigned(p) && raw > 0x7fff ? raw - 0x10000 : raw;
  return stepped(signed * p.scale, p);
}

/** By concept, once for each list: the simulated drive asks some hundred times a step. */
const byConcept = new WeakMap<readonly Parameter[], ReadonlyMap<string, Parameter>>();

/** The parameter that carries a concept on this type. */
export function parameterFor(
  { parameters }: Pick<Control, 'parameters'>,
  concept: ConceptId,
): Parameter | undefined {
  const known =
    byConcept.get(parameters) ??
    new Map(parameters.flatMap((p) => (p.concept === undefined ? [] : [[p.concept, p] as const])));
  byConcept.set(parameters, known);
  return known.get(concept);
}

/** What a concept is set to: the neutral choice, or the figure; undefined where unknown or not there. */
export function meaningOf(
  control: Pick<Control, 'parameters'>,
  values: Values,
  concept: ConceptId,
): string | number | undefined {
  const p = parameterFor(control, concept);
  const value = p === undefined ? undefined : values[p.number];
  if (p === undefined || value === undefined) return undefined;
  return p.choices === undefined ? value : p.choices.find((c) => c.value === value)?.means;
}

/** The parameter of a number, as its type writes it. */
export const parameterAt = (
  { parameters }: Pick<Control, 'parameters'>,
  number: string | undefined,
): Parameter | undefined => parameters.find((p) => p.number === number);

/**
 * What is in a drive after an entry was written: what it resets has its factory value again.
 * @param values with the entry as it was written
 * @param factory of the region that is in force then
 */
export function valuesAfter(
  { number, resets }: Pick<Parameter, 'number' | 'resets'>,
  values: Values,
  factory: Values,
): Values {
  if (resets === undefined) return values;
  const again =
    resets === 'all'
      ? factory
      : { ...values, ...Object.fromEntries(resets.map((n) => [n, factory[n] ?? 0])) };
  return { ...again, [number]: values[number] ?? 0 };
}

/** Parameters that take a command and reset themselves: their value afterwards says nothing. */
const commands: readonly (string | undefined)[] = ['store.save', 'factory.reset'] satisfies ConceptId[];
const ofIdentification: readonly (string | undefined)[] = [
  'motor.ident',
  'motor.ident-state',
  'motor.direction',
] satisfies ConceptId[];

/** Was an identification made with another value of it? Motor data and the control mode. */
export const outdatesIdentification = ({ concept = '' }: { concept?: string | undefined }): boolean =>
  concept === 'control.mode' || (concept.startsWith('motor.') && !ofIdentification.includes(concept));

/** Is writing this parameter an order (save, reset) rather than a setting? */
export const isCommand = ({ concept }: Pick<Parameter, 'concept'>): boolean => commands.includes(concept);

/** A value as the keypad shows it: the name of a choice, or the figure with its unit. */
export const shownAs = ({ choices, unit }: Pick<Parameter, 'choices' | 'unit'>, value: number): string =>
  choices?.find((c) => c.value === value)?.name ?? `${value}${unit === undefined ? '' : ` ${unit}`}`;

/** Text as words of two letters, the first in the high byte, filled up with spaces. */
export const wordsOfText = (text: string, words: number): number[] =>
  Array.from({ length: words }, (_, i) => {
    const [a, b] = text.padEnd(2 * words).slice(2 * i, 2 * i + 2);
    return ((a ?? ' ').charCodeAt(0) << 8) | (b ?? ' ').charCodeAt(0);
  });

/** Words back to their text; what is no letter of the usual ones is left out. */
export const textOfWords = (words: readonly number[]): string =>
  words
    .flatMap((word) => [word >> 8, word & 0xff])
    .filter((code) => code >= 0x20 && code < 0x7f)
    .map((code) => String.fromCharCode(code))
    .join('')
    .trim();
