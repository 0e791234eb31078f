// Rounding for people: what is computed on stays unrounded.

/** To so many significant digits. */
export const roundSignificant = (value: number, digits: number): number => Number(value.toPrecision(digits));

/** The same as text, e.g. in a sum; never in powers of ten for figures of this trade. */
export const formatSignificant = (value: number, digits = 3): string =>
  String(roundSignificant(value, digits));

/** A share as the percent that it was typed as: 0.57 is 57, not 56.99999999999999. */
export const percentOfShare = (share: number): number => roundSignificant(100 * share, 12);
