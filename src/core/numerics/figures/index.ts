// Rounding for people: what is computed on stays unrounded.

/** To so many significant digits. */
export const rounded = (value: number, digits: number): number => Number(value.toPrecision(digits));

/** The same as text, e.g. in a sum; never in powers of ten for figures of this trade. */
export const written = (value: number, digits = 3): string => String(rounded(value, digits));
