import { splitQuantity, type Quantity } from '@/core/terms';

/** A figure as people write it (comma or point, also below zero), or null. */
export function figureFrom(text: string): number | null {
  const tidy = text.trim().replace(',', '.').replace(/^[−–]/, '-');
  return /^-?(?:\d+(?:\.\d*)?|\.\d+)$/.test(tidy) ? Number(tidy) : null;
}

/**
 * Reads a quantity in either of its units; a value without a unit is in the SI unit.
 * @returns its value in the SI unit, rounded to what a person can read off; null where it cannot be read
 */
export const quantityFrom =
  (quantity: Quantity) =>
  (text: string): number | null => {
    const { figure, unit } = splitQuantity(quantity, text);
    const value = figureFrom(figure);
    if (value === null) return null;
    return unit === 'us' ? Number(quantity.toSi(value).toFixed(2)) : value;
  };

/** Minutes of a stretch of time as people write it: "4", "1.5 h", "90 min", "1 h 30", "1:30"; a bare figure is hours. Null: none. */
export function minutesFrom(text: string): number | null {
  const tidy = text.trim().toLowerCase();
  const pair = /^(\d{1,3})\s*(?:h|:)\s*([0-5]\d)(?:\s*min)?$/.exec(tidy);
  if (pair !== null) return Number(pair[1]) * 60 + Number(pair[2]);
  const unit = /(?:h|min)$/.exec(tidy)?.[0] ?? '';
  const value = figureFrom(tidy.slice(0, tidy.length - unit.length));
  return value === null || value < 0 ? null : unit === 'min' ? value : value * 60;
}

/** A positive figure, or null. */
export function numberFrom(text: string): number | null {
  const value = figureFrom(text);
  return value !== null && value > 0 ? value : null;
}
