import type { Range } from '@/core/replacement/replacement';
import { figureFrom } from '../../kit/number-from';

/** A range as it is typed: "300", "200-400", "200 to 400"; empty: nobody knows. Undefined: it cannot be read. */
export function rangeFrom(text: string): Range | undefined {
  const tidy = text.trim();
  if (tidy === '' || tidy === '?') return null;
  const parts = tidy.split(/–|—|\.\.|-|to|bis/i);
  const figures = parts.flatMap((part) => figureFrom(part) ?? []);
  if (parts.length > 2 || figures.length < parts.length || figures.some((f) => f < 0)) return undefined;
  const [a = 0, b = a] = figures;
  return a <= b ? [a, b] : [b, a];
}

/** A range as one would type it. */
export const rangeText = (range: Range): string =>
  range === null ? '' : range[0] === range[1] ? String(range[0]) : `${range[0]} to ${range[1]}`;
