import type { Weighed } from './problem';

/** Up to this many figures a person may get wrong in one test … */
const excused = 2;
/** … and beyond it this share of all readings. */
const excusedShare = 0.25;
/** No junction drops this much less or more than the usual one at any temperature a hand can bear, V. */
const possibleShift_V = 0.3;

/**
 * Why the best explanation is none; null where it holds.
 * @param slips readings that it takes for mistakes
 * @param shift_V drops of the unit's families against the usual
 */
export function incredible(
  leader: Weighed,
  {
    slips,
    readings,
    shift_V,
  }: { slips: number; readings: number; shift_V: Readonly<Record<string, number>> },
): string | null {
  if (leader.rough)
    return 'Many explanations fit about equally badly: check leads, meter range and power stage, then measure again.';
  if (slips > excused && slips > excusedShare * readings)
    return `No fault of this power stage explains ${slips} of ${readings} readings: check leads, meter range and power stage, then measure again.`;
  return Object.values(shift_V).some((shift) => Math.abs(shift) > possibleShift_V)
    ? 'No silicon junction reads like this at any temperature: check leads, meter range and meter battery, then measure again.'
    : null;
}
