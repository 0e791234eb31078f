/** Which end of a row of bits belongs to the first terminal. */
export type WayRound = 'left-first' | 'right-first';

/** A row of bits as a display shows it, e.g. "0010 01", or null. */
export function bitsFrom(text: string): boolean[] | null {
  const tidy = text.replace(/[\s.|_-]/g, '');
  return /^[01]{1,16}$/.test(tidy) ? [...tidy].map((c) => c === '1') : null;
}

/** The bit of each terminal, for one way round; more bits than terminals are none of theirs. */
export const bitsOfTerminals = (bits: readonly boolean[], terminals: number, way: WayRound): boolean[] =>
  (way === 'left-first' ? bits : [...bits].reverse()).slice(0, terminals);

/**
 * Which way round a display shows its bits, from one terminal that was turned between two looks.
 * @returns null where not exactly one bit changed, or where that bit is this terminal's in neither way, or in both
 */
export function wayRound(
  before: readonly boolean[],
  after: readonly boolean[],
  terminal: number,
  terminals: number,
): WayRound | null {
  const changed = before.flatMap((bit, i) => (bit === after[i] ? [] : [i]));
  const [at] = changed;
  if (before.length !== after.length || changed.length !== 1 || at === undefined || terminal >= terminals)
    return null;
  const left = at === terminal;
  const right = before.length - 1 - at === terminal;
  return left === right ? null : left ? 'left-first' : 'right-first';
}
