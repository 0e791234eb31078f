import type { DraftParameter } from '@/core/reading/type-draft';

/** What a parameter may be, as its manual has it; empty: it does not say. */
export const rangeOf = ({ min, max, unit, choices, rangeText }: DraftParameter): string => {
  if (choices.length > 0) return choices.map((c) => `${c.value} ${c.name}`).join(', ');
  if (min === null || max === null) return rangeText ?? '';
  return `${min} to ${max}${unit === null ? '' : ` ${unit}`}`;
};

/** Its default, one for each of 50 and 60 Hz where there are two. */
export const givenOf = ({ default: given, defaultText }: DraftParameter): string => {
  if (given === null) return defaultText ?? '';
  return typeof given === 'number' ? String(given) : `${given['50Hz']} / ${given['60Hz']}`;
};
