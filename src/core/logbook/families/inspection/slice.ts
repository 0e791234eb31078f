import type { Payload } from '../../payloads';
import { sliceOf, voided } from '../../slice';
import { lookWords, type LookItem } from './vocabulary';
import { remark } from '../../../terms';

/** What was seen with the power off, by what was looked at; the newest finding of an item counts. */
export const lookSlice = sliceOf<Partial<Record<LookItem, Payload<'look.finding'>>>>()({
  key: 'look',
  init: {},
  kinds: ['look.finding'],
  apply(slice, { payload, by }) {
    const found = slice[payload.item]?.state === 'found' && payload.state !== 'found';
    return found && by.role === 'apprentice'
      ? voided(slice, 'Only a technician or the lead can clear a finding.')
      : { slice: { ...slice, [payload.item]: payload } };
  },
  words: {
    'look.finding': ({ payload }) =>
      `${lookWords[payload.item].name}: ${payload.state === 'clear' ? 'clear' : payload.state === 'found' ? `found${remark(payload.note)}` : 'not checked'}`,
  },
});
