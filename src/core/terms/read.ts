import type { TermsProfile } from './profile';
import type { Quantity } from './units';

/** What was typed of a quantity: the value as text, and in which of its units. */
export interface TypedQuantity {
  /** The value, not yet read. */
  figure: string;
  /** The unit that was typed with it; null: none. */
  unit: 'si' | 'us' | null;
}

const tidy = (text: string): string => text.toLowerCase().replace(/\s/g, '');

/**
 * Splits a typed quantity in value and unit: "104 °F", "104F", "40".
 * @param quantity what it is of
 * @param text as it was typed
 * @returns the value as text, and its unit
 */
export function splitQuantity(quantity: Quantity, text: string): TypedQuantity {
  const trimmed = text.trim();
  const begin = trimmed.search(/[\p{L}°]/u);
  const [figure, unit] = begin < 0 ? [trimmed, ''] : [trimmed.slice(0, begin), trimmed.slice(begin)];
  const spelt = tidy(unit);
  for (const system of ['si', 'us'] as const)
    if (quantity.spellings[system].includes(spelt)) return { figure: figure.trim(), unit: system };
  // What is no unit stays with the value: reading it fails, and says so.
  return { figure: trimmed, unit: null };
}

/**
 * The unit an empty field begins with.
 * @param quantity what the field takes
 * @param profile whose field
 * @returns `us` where the profile puts that unit first
 */
export const firstUnit = (quantity: Quantity, profile: TermsProfile): 'si' | 'us' =>
  profile === 'us' && quantity.usFirst ? 'us' : 'si';
