import { countOf } from '../../count';
import type { Payload } from '../../payloads';
import { sliceOf, voided } from '../../slice';

/** Faults and switches as they were found, or why they could not be captured. */
export type AsFound = { captured: Payload<'as-found.captured'> } | { impossible: string };

/** Null before anybody looked. */
export const asFoundSlice = sliceOf<AsFound | null>()({
  key: 'asFound',
  init: null,
  kinds: ['as-found.captured', 'as-found.impossible'],
  apply(slice, entry) {
    // What was found first is what was found; only a capture that became possible after all comes after it.
    const frozen = slice !== null && ('captured' in slice || entry.kind === 'as-found.impossible');
    if (frozen)
      return voided(
        slice,
        'As found is recorded already: correct it, or add what was found later as a note.',
      );
    return {
      slice:
        entry.kind === 'as-found.captured'
          ? { captured: entry.payload }
          : { impossible: entry.payload.reason },
    };
  },
  words: {
    'as-found.captured': ({ payload }) =>
      `As found: ${payload.active ?? 'no alarm'}, ${countOf(payload.slots.length, 'slot')}`,
    'as-found.impossible': ({ payload }) => `As found not captured: ${payload.reason}`,
  },
});
