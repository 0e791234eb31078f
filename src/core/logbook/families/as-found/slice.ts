import type { Payload } from '../../payloads';
import { sliceOf, voided } from '../../slice';
import { answer, told } from '../../told';
import { remark } from '../../../terms';

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
      return voided(slice, 'As found is already recorded: correct it, or record later findings as a note.');
    return {
      slice:
        entry.kind === 'as-found.captured'
          ? { captured: entry.payload }
          : { impossible: entry.payload.reason },
    };
  },
  words: {
    'as-found.captured': ({ payload }) =>
      told('As found', [
        payload.active ?? 'no fault',
        payload.slots.length === 0
          ? 'no fault log entry'
          : `fault log ${payload.slots.map((s) => (s.when === undefined ? s.code : `${s.code} (${s.when})`)).join(', ')}`,
        answer('selectors', payload.selectors),
      ]),
    'as-found.impossible': ({ payload }) => `As found not captured${remark(payload.reason)}`,
  },
});
