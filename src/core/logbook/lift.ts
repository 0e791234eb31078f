import type { Entry } from './entry';

/** What the parts of a step were called before, with what they are called now: a step counts by their names. */
const partNames: readonly (readonly [before: string, now: string])[] = [
  [': runs it', ': starts'],
  [': stops it', ': stops'],
  [' does nothing', ' has no effect'],
  ['changing over at standstill starts nothing', 'changing over while stopped does not start the drive'],
];

const partNow = (part: string): string =>
  partNames.reduce(
    (text, [before, now]) => (text.endsWith(before) ? text.slice(0, -before.length) + now : text),
    part,
  );

/**
 * Brings a stored entry to the newest shape of its kind. Stored entries are never re-parsed by the
 * newest schema alone: a step from the old shape stands here.
 */
export function lift(entry: Entry): Entry {
  if (entry.kind !== 'commission.step') return entry;
  const { step, seen } = entry.payload;
  return {
    ...entry,
    payload: {
      ...entry.payload,
      step: step === 'safety-safe stop' ? 'safety-STO' : step,
      seen: seen.map(partNow),
    },
  };
}
