import type { Parameter } from '@/core/catalogue';

/** A value as the keypad shows it. */
export const shownAs = ({ choices, unit }: Parameter, value: number): string =>
  choices?.find((c) => c.value === value)?.name ?? `${value}${unit === undefined ? '' : ` ${unit}`}`;
